package gastfreund.app.setup;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Supplier;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.FactoryBean;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.beans.factory.support.RootBeanDefinition;
import org.springframework.core.ResolvableType;

/** The framework's own parts, which look at all of them for each type, are the oracle. */
class PreparedStartTest {

    private static final ResolvableType STRINGS = of(List.class, String.class);

    /** Types of one part, of several and of none. */
    private static final List<ResolvableType> ASKED = List.of(
            of(Comparator.class, String.class),
            of(Comparator.class, Integer.class),
            of(Comparator.class, Object.class),
            of(Supplier.class, String.class),
            of(Function.class, String.class, Integer.class),
            of(FactoryBean.class, String.class),
            of(Iterable.class, Long.class),
            ResolvableType.forClass(Comparator.class),
            ResolvableType.forClass(FactoryBean.class),
            ResolvableType.forClass(String.class),
            ResolvableType.forClass(Object.class),
            ResolvableType.forClassWithGenerics(Supplier.class, STRINGS),
            ResolvableType.forClassWithGenerics(Supplier.class, ResolvableType.forClass(List.class)));

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void typesWithParametersHaveTheSamePartsAsWhenAllAreLookedAt(boolean frozen) {
        DefaultListableBeanFactory parts = filled(new PreparedStart.Parts(), frozen);
        DefaultListableBeanFactory oracle = filled(new DefaultListableBeanFactory(), frozen);
        Set<String> found = new TreeSet<>();
        for (ResolvableType type : ASKED) {
            for (boolean nonSingletons : List.of(true, false)) {
                for (boolean eager : List.of(true, false)) {
                    List<String> names = List.of(parts.getBeanNamesForType(type, nonSingletons, eager));
                    assertThat(names)
                            .as("%s %s %s", type, nonSingletons, eager)
                            .containsExactly(oracle.getBeanNamesForType(type, nonSingletons, eager));
                    if (type.hasGenerics()) {
                        found.addAll(names);
                    }
                }
            }
        }
        assertThat(found).containsExactlyInAnyOrder("byLength", "many", "ready", "lists", "&made");
    }

    private static DefaultListableBeanFactory filled(DefaultListableBeanFactory factory, boolean frozen) {
        factory.registerBeanDefinition("byLength", new RootBeanDefinition(ByLength.class));
        RootBeanDefinition many = new RootBeanDefinition(ByLength.class);
        many.setScope(BeanDefinition.SCOPE_PROTOTYPE);
        factory.registerBeanDefinition("many", many);
        factory.registerBeanDefinition("made", new RootBeanDefinition(Made.class));
        RootBeanDefinition lists = new RootBeanDefinition();
        lists.setTargetType(ResolvableType.forClassWithGenerics(Supplier.class, STRINGS));
        factory.registerBeanDefinition("lists", lists);
        factory.registerBeanDefinition("none", new RootBeanDefinition(Thread.class));
        factory.registerSingleton("ready", new Down());
        if (frozen) {
            factory.freezeConfiguration();
        }
        return factory;
    }

    private static ResolvableType of(Class<?> type, Class<?>... parameters) {
        return ResolvableType.forClassWithGenerics(type, parameters);
    }

    static final class ByLength implements Comparator<String>, Supplier<String> {

        @Override
        public int compare(String a, String b) {
            return Integer.compare(a.length(), b.length());
        }

        @Override
        public String get() {
            return "";
        }
    }

    static final class Down implements Comparator<Integer> {

        @Override
        public int compare(Integer a, Integer b) {
            return b.compareTo(a);
        }
    }

    static final class Made implements FactoryBean<String> {

        @Override
        public String getObject() {
            return "made";
        }

        @Override
        public Class<?> getObjectType() {
            return String.class;
        }
    }
}
