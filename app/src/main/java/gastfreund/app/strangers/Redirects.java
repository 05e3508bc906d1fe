package gastfreund.app.strangers;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.ViewResolver;
import org.springframework.web.servlet.view.RedirectView;

/** Leads on to an address as it is: what somebody typed into it is no template, whatever braces are in it. */
@Component
final class Redirects implements ViewResolver, Ordered {

    private static final String REDIRECT = "redirect:";

    @Override
    public int getOrder() {
        return Ordered.HIGHEST_PRECEDENCE;
    }

    @Override
    public @Nullable View resolveViewName(String name, Locale locale) {
        if (!name.startsWith(REDIRECT)) {
            return null;
        }
        RedirectView view = new RedirectView(name.substring(REDIRECT.length()), true);
        view.setExpandUriTemplateVariables(false);
        return view;
    }
}
