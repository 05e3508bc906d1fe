package gastfreund.app.setup;

import java.util.ArrayList;
import java.util.List;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.core.ResolvableType;

/** A start that takes what its build has prepared: which parts there are stands from the beginning, and is not asked anew. */
public final class PreparedStart extends ServletWebServerApplicationContext {

    public PreparedStart() {
        super(new Parts());
    }

    @Override
    protected void invokeBeanFactoryPostProcessors(ConfigurableListableBeanFactory factory) {
        super.invokeBeanFactoryPostProcessors(factory);
        factory.freezeConfiguration();
    }

    /**
     * A type with parameters is looked for among the parts of the same type without them, which are kept. What puts three chains
     * of filters together asks for ninety such types which no part has, and would look at all 700 for each.
     */
    static final class Parts extends DefaultListableBeanFactory {

        private static final long serialVersionUID = 1L;

        @Override
        public String[] getBeanNamesForType(ResolvableType type, boolean nonSingletons, boolean eager) {
            Class<?> without = type.resolve();
            if (without == null || !type.hasGenerics()) {
                return super.getBeanNamesForType(type, nonSingletons, eager);
            }
            List<String> names = new ArrayList<>();
            for (String name : getBeanNamesForType(without, nonSingletons, eager)) {
                if (isTypeMatch(name, type, eager)) {
                    names.add(name);
                }
            }
            return names.toArray(String[]::new);
        }
    }
}
