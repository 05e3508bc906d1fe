package gastfreund.app.pages;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.springframework.web.servlet.resource.ResourceUrlProvider;

/**
 * Addresses of styles, scripts and fonts with a mark of their content in them, so that browsers keep them for a year. Only
 * these are asked for: a filter that looks up every link of every page as a file took a twelfth of all time.
 */
@Component("assets")
public class Assets {

    private final ResourceUrlProvider urls;
    private final Map<String, String> known = new ConcurrentHashMap<>();

    Assets(ResourceUrlProvider urls) {
        this.urls = urls;
    }

    /** The whole path of an asset, such as {@code /app/app.css}. */
    public String of(String path) {
        return known.computeIfAbsent(path, p -> {
            String found = urls.getForLookupPath(p);
            return found == null ? p : found;
        });
    }

    @Configuration
    static class NoFilter {

        @Bean
        FilterRegistrationBean<ResourceUrlEncodingFilter> resourceUrlEncodingFilter() {
            FilterRegistrationBean<ResourceUrlEncodingFilter> none =
                    new FilterRegistrationBean<>(new ResourceUrlEncodingFilter());
            none.setEnabled(false);
            return none;
        }
    }
}
