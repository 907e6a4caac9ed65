package juricast.server.access;

import java.util.Arrays;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Who really calls, and whether by https, is believed from the web server that is named as standing in front, and from nobody else:
 * whoever could say from where they come would be slowed by no limit.
 */
@Component
class ProxyInFront implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private final String proxy;

    ProxyInFront(@Value("${juricast.proxy}") String proxy) {
        this.proxy = proxy.strip();
    }

    @Override
    public void customize(TomcatServletWebServerFactory server) {
        if (!proxy.isEmpty()) {
            var valve = new RemoteIpValve();
            valve.setInternalProxies(
                    Arrays.stream(proxy.split("[ ,]+")).map(Pattern::quote).collect(Collectors.joining("|")));
            valve.setTrustedProxies(null);
            valve.setProtocolHeader("X-Forwarded-Proto");
            valve.setHostHeader(null);
            valve.setPortHeader(null);
            server.addEngineValves(valve);
        }
    }
}
