package gastfreund.app.pages;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/** @param address how guests reach this application; empty: not said yet */
@ConfigurationProperties("gastfreund")
record AddressSettings(@DefaultValue("") String address) {}
