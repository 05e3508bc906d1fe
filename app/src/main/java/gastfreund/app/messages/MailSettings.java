package gastfreund.app.messages;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/** @param mailFrom the sender of all mail; empty: not said yet */
@ConfigurationProperties("gastfreund")
public record MailSettings(@DefaultValue("") String mailFrom, @DefaultValue Limits limits) {

    /** @param letters how many letters one guest's address gets in a day */
    public record Limits(@DefaultValue("20") int letters) {}
}
