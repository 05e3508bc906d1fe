package gastfreund.app;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Set;
import java.util.function.BiConsumer;
import javax.sql.DataSource;
import org.springframework.aop.support.AopUtils;
import org.springframework.context.ApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Every method of every store, called with samples on whatever database. */
final class StoreMethods {

    private final ApplicationContext context;
    private final DataSource data;

    /** @param data that the stores ask */
    StoreMethods(ApplicationContext context, DataSource data) {
        this.context = context;
        this.data = data;
    }

    void each(BiConsumer<Class<?>, Method> use) {
        for (Object store : context.getBeansWithAnnotation(Repository.class).values()) {
            Class<?> type = AopUtils.getTargetClass(store);
            for (Method method : type.getDeclaredMethods()) {
                if (!method.isSynthetic()
                        && !Modifier.isPrivate(method.getModifiers())
                        && !Modifier.isStatic(method.getModifiers())) {
                    use.accept(type, method);
                }
            }
        }
    }

    /**
     * Calls a method in a transaction that is given up.
     *
     * @param asked where each statement is noted
     * @throws RuntimeException what it throws
     */
    void run(Class<?> type, Method method, Set<String> asked, PlatformTransactionManager transactions) {
        Object store = listening(type, asked);
        method.setAccessible(true);
        new TransactionTemplate(transactions).executeWithoutResult(transaction -> {
            transaction.setRollbackOnly();
            try {
                method.invoke(
                        store,
                        Arrays.stream(method.getGenericParameterTypes())
                                .map(Samples::of)
                                .toArray());
            } catch (InvocationTargetException e) {
                if (e.getCause() instanceof RuntimeException thrown) {
                    throw thrown;
                }
                throw new IllegalStateException(method.toString(), e.getCause());
            } catch (IllegalAccessException e) {
                throw new IllegalStateException(e);
            }
        });
    }

    /** A store of its own that notes what it asks. */
    private Object listening(Class<?> type, Set<String> asked) {
        Constructor<?> made = type.getDeclaredConstructors()[0];
        Object[] parts = Arrays.stream(made.getParameterTypes())
                .map(part -> part == JdbcClient.class
                        ? JdbcClient.create(new Listening(data, asked))
                        : context.getBean(part))
                .toArray();
        try {
            made.setAccessible(true);
            return made.newInstance(parts);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Hands on to another source, and notes each statement that is prepared. */
    private static final class Listening extends DelegatingDataSource {

        private final Set<String> asked;

        Listening(DataSource target, Set<String> asked) {
            super(target);
            this.asked = asked;
        }

        @Override
        public Connection getConnection() throws SQLException {
            Connection connection = super.getConnection();
            return (Connection) Proxy.newProxyInstance(
                    getClass().getClassLoader(), new Class<?>[] {Connection.class}, (proxy, method, arguments) -> {
                        if (method.getName().equals("prepareStatement")) {
                            asked.add((String) arguments[0]);
                        }
                        try {
                            return method.invoke(connection, arguments);
                        } catch (InvocationTargetException e) {
                            throw e.getCause();
                        }
                    });
        }
    }
}
