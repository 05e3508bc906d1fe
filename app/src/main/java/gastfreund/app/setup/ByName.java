package gastfreund.app.setup;

import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.BeanFactoryPostProcessor;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.beans.factory.config.DependencyDescriptor;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.context.annotation.ContextAnnotationAutowireCandidateResolver;
import org.springframework.stereotype.Component;
import org.springframework.util.ClassUtils;

/**
 * Most parts are called as their classes are, and settings by their prefix, so that whoever needs one is given it by its name. To
 * look for each among all parts is a tenth of what a start asks of its thread. Where no part has the name, it is looked for.
 */
@Component
class ByName implements BeanFactoryPostProcessor {

    @Override
    public void postProcessBeanFactory(ConfigurableListableBeanFactory factory) {
        ((DefaultListableBeanFactory) factory).setAutowireCandidateResolver(new Resolver());
    }

    private static final class Resolver extends ContextAnnotationAutowireCandidateResolver {

        @Override
        public @Nullable String getSuggestedName(DependencyDescriptor wanted) {
            String said = super.getSuggestedName(wanted);
            return said == null ? name(wanted.getDependencyType()) : said;
        }

        private static String name(Class<?> type) {
            ConfigurationProperties settings = type.getAnnotation(ConfigurationProperties.class);
            return settings == null ? ClassUtils.getShortNameAsProperty(type) : settings.value() + '-' + type.getName();
        }
    }
}
