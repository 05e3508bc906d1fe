package gastfreund.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Method;
import java.util.ArrayList;
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
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;

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
        new StoreMethods(context, data).each(use);
    }

    private Set<String> askedBy(Class<?> type, Method method) {
        Set<String> asked = new LinkedHashSet<>();
        try {
            new StoreMethods(context, data).run(type, method, asked, transactionManager);
        } catch (DataAccessException e) {
            // That nothing is found, or that a key refers to nothing, is no matter: the statement was asked.
            assertThat(asked).as(method.toString()).isNotEmpty();
        }
        return asked;
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
        boolean named = sql.contains(") " + name + " ") || sql.contains(") " + name + "\n");
        if (SMALL.contains(name) || name.equals("CONSTANT") || name.equals("SUBQUERY") || named) {
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
}
