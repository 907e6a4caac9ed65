package juricast.server.upkeep;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CountDownLatch;
import juricast.server.data.SchoolFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Sees that a backup waits to be restored. The program then ends all it does and starts anew with it, within the same process:
 * nothing of what it knew of the old file is left in memory.
 */
@Component
public class Restarting implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Restarting.class);

    private final SchoolFile school;
    private final CountDownLatch ending = new CountDownLatch(1);
    private volatile boolean isWanted;

    Restarting(@Value("${juricast.data}") String file) {
        this.school = new SchoolFile(Path.of(file));
    }

    @Scheduled(fixedDelay = 1000)
    void look() {
        if (!isWanted && Files.exists(school.toRestore())) {
            LOG.info("A backup is to be restored: starting anew with it");
            isWanted = true;
            ending.countDown();
        }
    }

    /** Waits until the program is to end. @return whether it is to start again */
    public boolean await() throws InterruptedException {
        ending.await();
        return isWanted;
    }

    @Override
    public void destroy() {
        ending.countDown();
    }
}
