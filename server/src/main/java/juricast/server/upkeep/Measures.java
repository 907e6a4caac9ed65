package juricast.server.upkeep;

import io.micrometer.core.instrument.FunctionCounter;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.Timer;
import io.micrometer.core.instrument.binder.jvm.JvmGcMetrics;
import io.micrometer.core.instrument.binder.jvm.JvmMemoryMetrics;
import io.micrometer.core.instrument.binder.jvm.JvmThreadMetrics;
import io.micrometer.core.instrument.binder.system.ProcessorMetrics;
import io.micrometer.core.instrument.binder.system.UptimeMetrics;
import io.micrometer.prometheusmetrics.PrometheusConfig;
import io.micrometer.prometheusmetrics.PrometheusMeterRegistry;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import juricast.server.data.BackupFolder;
import juricast.server.data.DiskSpace;
import juricast.server.lesson.Pulse;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** What the program measures of itself, in the OpenMetrics format. No name and no id of anybody is in it. */
@Component
class Measures extends OncePerRequestFilter implements DisposableBean {
    static final String FORMAT = "application/openmetrics-text;version=1.0.0;charset=utf-8";

    private final PrometheusMeterRegistry registry = new PrometheusMeterRegistry(PrometheusConfig.DEFAULT);
    private final JvmGcMetrics pauses = new JvmGcMetrics();
    private final Timer[] answers = new Timer[6];

    Measures(Pulse pulse, Backups backups, DiskSpace disk, Clock clock) {
        new JvmMemoryMetrics().bindTo(registry);
        new JvmThreadMetrics().bindTo(registry);
        new ProcessorMetrics().bindTo(registry);
        new UptimeMetrics().bindTo(registry);
        pauses.bindTo(registry);
        Gauge.builder("juricast.lessons.open", pulse, Pulse::lessonsOpen)
                .description("Lessons that are live")
                .register(registry);
        Gauge.builder("juricast.lessons.memory", pulse, Pulse::lessonsInMemory)
                .description("Lessons that are in memory")
                .register(registry);
        Gauge.builder("juricast.lines.open", pulse, Pulse::linesOpen)
                .description("Streams to browsers")
                .register(registry);
        Gauge.builder("juricast.journal.waiting", pulse, Pulse::appendsWaiting)
                .description("Appends that wait for the disk")
                .register(registry);
        FunctionCounter.builder("juricast.journal.events", pulse, Pulse::eventsWritten)
                .description("Events that reached the disk")
                .register(registry);
        Gauge.builder("juricast.disk.free", disk, DiskSpace::free)
                .baseUnit("bytes")
                .description("Room where the school's file lies")
                .register(registry);
        Gauge.builder("juricast.backup.age", backups, known -> known.all().stream()
                        .findFirst()
                        .map(BackupFolder.Kept::at)
                        .map(at ->
                                (double) Duration.between(at, clock.instant()).toSeconds())
                        .orElse(Double.NaN))
                .baseUnit("seconds")
                .description("Since the last good backup")
                .register(registry);
        for (int hundreds = 1; hundreds < answers.length; hundreds++) {
            answers[hundreds] = Timer.builder("juricast.requests")
                    .tag("status", hundreds + "xx")
                    .description("Answers, streams aside")
                    .publishPercentileHistogram(false)
                    .register(registry);
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long begun = System.nanoTime();
        chain.doFilter(request, response);
        if (!request.isAsyncStarted()) {
            int hundreds = Math.min(answers.length - 1, Math.max(1, response.getStatus() / 100));
            answers[hundreds].record(System.nanoTime() - begun, TimeUnit.NANOSECONDS);
        }
    }

    String text() {
        return registry.scrape(FORMAT);
    }

    @Override
    public void destroy() {
        super.destroy();
        pauses.close();
        registry.close();
    }
}
