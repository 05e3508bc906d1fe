package gastfreund.app.pages;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Answers with a part of a page where it is asked for and its handler is {@link Partial}. */
@Configuration(proxyBeanMethods = false)
class Partials implements WebMvcConfigurer, HandlerInterceptor {

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView page) {
        if (!(handler instanceof HandlerMethod method) || page == null || page.getViewName() == null) {
            return;
        }
        Partial partial = method.getMethodAnnotation(Partial.class);
        boolean redirects = page.getViewName().startsWith("redirect:");
        if (partial != null && !redirects && partial.value().equals(request.getParameter("fragment"))) {
            page.setViewName(page.getViewName() + " :: " + partial.value());
        }
    }
}
