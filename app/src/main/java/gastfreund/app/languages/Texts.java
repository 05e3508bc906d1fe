package gastfreund.app.languages;

import java.text.MessageFormat;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.ResourceBundle;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.support.ResourceBundleMessageSource;
import org.springframework.stereotype.Component;

/**
 * The texts of all bundles. A page says some hundreds of them, and there is a bundle for each room, so what was found in one of
 * them once is not looked for again in those before it. It is kept for the languages that are spoken alone, and what nobody says
 * is not kept: there is never more than the bundles have.
 */
@Component("messageSource")
class Texts extends ResourceBundleMessageSource {

    /** Bundles are files, and what is in no language's own is English: what is not there is not looked for in all that the program is made of. */
    private static final ResourceBundle.Control FILES = new ResourceBundle.Control() {

        @Override
        public List<String> getFormats(String bundle) {
            return FORMAT_PROPERTIES;
        }

        @Override
        public List<Locale> getCandidateLocales(String bundle, Locale locale) {
            return locale.equals(Locale.ENGLISH) ? List.of(Locale.ROOT) : super.getCandidateLocales(bundle, locale);
        }

        @Override
        public @Nullable Locale getFallbackLocale(String bundle, Locale locale) {
            return null;
        }
    };

    private final Map<Locale, Map<String, String>> plain = new HashMap<>();
    private final Map<Locale, Map<String, MessageFormat>> formats = new HashMap<>();

    Texts(@Value("${spring.messages.basename}") List<String> bundles) {
        setBasenames(bundles.toArray(String[]::new));
        for (Locale spoken : Languages.all()) {
            plain.put(spoken, new ConcurrentHashMap<>());
            formats.put(spoken, new ConcurrentHashMap<>());
        }
    }

    @Override
    protected ResourceBundle doGetBundle(String bundle, Locale locale) {
        return ResourceBundle.getBundle(bundle, locale, Objects.requireNonNull(getBundleClassLoader()), FILES);
    }

    @Override
    protected @Nullable String resolveCodeWithoutArguments(String code, Locale locale) {
        Map<String, String> kept = plain.get(locale);
        return kept == null
                ? super.resolveCodeWithoutArguments(code, locale)
                : kept.computeIfAbsent(code, c -> super.resolveCodeWithoutArguments(c, locale));
    }

    @Override
    protected @Nullable MessageFormat resolveCode(String code, Locale locale) {
        Map<String, MessageFormat> kept = formats.get(locale);
        return kept == null
                ? super.resolveCode(code, locale)
                : kept.computeIfAbsent(code, c -> super.resolveCode(c, locale));
    }
}
