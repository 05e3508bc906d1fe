package gastfreund.app.sharing;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/** @param neighbour a website of somebody else's in whose pages the panel is tried; empty: a page of the product's own */
@ConfigurationProperties("gastfreund")
record SharingSettings(@DefaultValue("") String neighbour) {}
