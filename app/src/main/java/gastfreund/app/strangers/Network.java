package gastfreund.app.strangers;

import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * How requests reach the application. What a proxy says of where a request comes from is believed only where its address
 * was set; everybody can write such a header.
 */
@Configuration
class Network {

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> believedProxies(StrangerSettings settings) {
        return factory -> {
            String proxies = settings.proxies().stream()
                    .map(String::strip)
                    .filter(p -> !p.isEmpty())
                    .map(Network::pattern)
                    .collect(Collectors.joining("|"));
            if (!proxies.isEmpty()) {
                RemoteIpValve valve = new RemoteIpValve();
                valve.setInternalProxies(proxies);
                valve.setRemoteIpHeader("X-Forwarded-For");
                valve.setProtocolHeader("X-Forwarded-Proto");
                valve.setHostHeader("X-Forwarded-Host");
                valve.setPortHeader("X-Forwarded-Port");
                factory.addEngineValves(valve);
            }
        };
    }

    private static String pattern(String proxy) {
        return proxy.endsWith("*")
                ? Pattern.quote(proxy.substring(0, proxy.length() - 1)) + "[0-9a-fA-F.:]*+"
                : Pattern.quote(proxy);
    }
}
