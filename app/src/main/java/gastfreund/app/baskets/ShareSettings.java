package gastfreund.app.baskets;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How much of an offer's openings may be kept by those who have not paid, in percent.
 *
 * @param visitor by one visitor, beyond a few places
 * @param house by all of them together, beyond each one's first place
 * @param few how many places a visitor may keep whatever the share
 */
@ConfigurationProperties("gastfreund.shares")
record ShareSettings(@DefaultValue("20") int visitor, @DefaultValue("50") int house, @DefaultValue("3") int few) {}
