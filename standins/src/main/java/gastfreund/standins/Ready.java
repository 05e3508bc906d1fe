package gastfreund.standins;

import gastfreund.standins.mail.MailServer;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says on standard output where the stand-ins can be reached, for launchers and tests to read. */
@Component
class Ready {

    private final MailServer mail;

    Ready(MailServer mail) {
        this.mail = mail;
    }

    @EventListener
    void started(WebServerInitializedEvent event) {
        System.out.println("stand-ins ready: http " + event.getWebServer().getPort() + ", smtp " + mail.port());
    }
}
