package gastfreund.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.springframework.aop.support.AopUtils;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Calls every method of every store, listens to the statements that it asks, and looks at how the database would carry
 * them out: none goes through all of a table that grows.
 */
class PlansTest extends DemoHouseTest {

    /** What a house has a handful of, whatever its age. */
    private static final Set<String> SMALL = Set.of(
            "program_keys",
            "webhooks",
            "webhooks_told",
            "house",
            "places",
            "staff",
            "resources",
            "offers",
            "promo_codes",
            "hosts",
            "invitations",
            "gateways",
            "work");

    /** A virtual table is the JSON of one row. */
    private static final Pattern SCAN =
            Pattern.compile("SCAN (\\w++)(?! VIRTUAL TABLE)(?: USING (?:COVERING )?INDEX (\\w+))?");

    private static final Pattern IN_ORDER = Pattern.compile("FROM \\w+ ORDER BY (id|number) DESC LIMIT");

    @Autowired
    private ApplicationContext context;

    @Autowired
    private DataSource data;

    @Autowired
    private PlatformTransactionManager transactionManager;

    @Test
    void noStatementOfAStoreGoesThroughATableThatGrows() {
        List<String> found = new ArrayList<>();
        Set<String> statements = new LinkedHashSet<>();
        eachMethod((type, method) -> {
            String name = type.getSimpleName() + "." + method.getName();
            Set<String> asked = askedBy(type, method);
            assertThat(asked).as(name + " was called and asked something").isNotEmpty();
            statements.addAll(asked);
            asked.forEach(sql ->
                    scans(sql).forEach(scan -> found.add(name + ": " + scan + "\n    " + sql.replaceAll("\\s+", " "))));
        });
        assertThat(found).as("full scans").isEmpty();
        assertThat(statements).hasSizeGreaterThan(100);
    }

    private static final Pattern WRITES =
            Pattern.compile("(?:INSERT (?:OR IGNORE )?INTO|UPDATE|DELETE FROM)\\s+(?:bookings|booking_staff|busy)\\b");

    @Test
    void onlyOneStoreWritesWhatTakesTime() {
        Set<String> writers = new TreeSet<>();
        eachMethod((type, method) -> {
            if (askedBy(type, method).stream()
                    .anyMatch(sql -> WRITES.matcher(sql).find())) {
                writers.add(type.getSimpleName());
            }
        });
        assertThat(writers).containsExactly("BookingStore");
    }

    private void eachMethod(BiConsumer<Class<?>, Method> use) {
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

    private Set<String> askedBy(Class<?> type, Method method) {
        Set<String> asked = new LinkedHashSet<>();
        Object store = listening(type, asked);
        method.setAccessible(true);
        new TransactionTemplate(transactionManager).executeWithoutResult(transaction -> {
            transaction.setRollbackOnly();
            try {
                method.invoke(
                        store,
                        Arrays.stream(method.getGenericParameterTypes())
                                .map(Samples::of)
                                .toArray());
            } catch (InvocationTargetException e) {
                // That nothing is found, or that a key refers to nothing, is no matter: the statement was asked.
                assertThat(e.getCause()).as(method.toString()).isInstanceOf(DataAccessException.class);
            } catch (IllegalAccessException e) {
                throw new IllegalStateException(e);
            }
        });
        return asked;
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

    private List<String> scans(String sql) {
        List<String> scans = new ArrayList<>();
        for (Map<String, Object> row :
                new JdbcTemplate(data).queryForList("EXPLAIN QUERY PLAN " + sql.replaceAll("\\?", "1"))) {
            String step = row.get("detail").toString();
            Matcher scan = SCAN.matcher(step);
            if (scan.find() && !isSmall(scan.group(1), sql) && !isBounded(scan.group(2), sql)) {
                scans.add(step);
            }
        }
        return scans;
    }

    /** Whether it is a table that stays small, by its name or what the statement calls it. */
    private static boolean isSmall(String name, String sql) {
        if (SMALL.contains(name) || name.equals("CONSTANT") || name.equals("SUBQUERY")) {
            return true;
        }
        return SMALL.stream().anyMatch(table -> Pattern.compile("\\b" + table + "(?: AS)? " + name + "\\b")
                .matcher(sql)
                .find());
    }

    /** An index of only those rows that wait for something is short; one that gives the order ends at the limit. */
    private boolean isBounded(String index, String sql) {
        if (IN_ORDER.matcher(sql).find()) {
            return true;
        }
        if (index == null) {
            return false;
        }
        String made = new JdbcTemplate(data)
                .queryForObject("SELECT coalesce(sql, '') FROM sqlite_master WHERE name = ?", String.class, index);
        return made.contains("WHERE");
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
