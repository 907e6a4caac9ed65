package juricast.server.lesson;

import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Thousands of connections that stay open for a lesson. What the web server keeps for each is moved by every collection while they
 * come, so part of it is kept outside the heap; and what it keeps for as many as a large school has (processor-cache) is used
 * again when the next lesson begins.
 */
@Component
final class Connections implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    @Override
    public void customize(TomcatServletWebServerFactory server) {
        server.addConnectorCustomizers(connector -> {
            connector.setProperty("socket.directBuffer", "true");
            connector.setProperty("socket.appReadBufSize", "2048");
        });
    }
}
