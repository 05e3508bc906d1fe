package gastfreund.app.strangers;

import gastfreund.app.pages.Address;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.web.header.HeaderWriterFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.stereotype.Component;

/** Stands at every door of the application, the guests' and the desk's: what no stranger's request gets past. */
@Component
public class Guard {

    private final StrangerSettings settings;
    private final Address address;
    private final Origins origins;

    Guard(StrangerSettings settings, Address address, Origins origins) {
        this.settings = settings;
        this.address = address;
        this.origins = origins;
    }

    /** The same with its headers, its filters and their order. */
    public HttpSecurity guard(HttpSecurity http) throws Exception {
        return http.headers(headers -> headers.frameOptions(HeadersConfigurer.FrameOptionsConfig::disable)
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)))
                .addFilterBefore(new Nonce(origins::origins), HeaderWriterFilter.class)
                .addFilterBefore(new Padding(), HeaderWriterFilter.class)
                .addFilterBefore(new OwnHost(address.set()), HeaderWriterFilter.class)
                .addFilterAfter(new Sizes(), HeaderWriterFilter.class)
                .addFilterAfter(new SameOrigin(), Sizes.class)
                .addFilterAfter(new Limits(settings.limits()), SameOrigin.class)
                .addFilterAfter(new Robots(), Limits.class);
    }
}
