package gastfreund.app.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.catalogue.CatalogueService;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.IllegalTransactionStateException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** What is read together fits together. */
class ReadingTest extends DemoHouseTest {

    @Autowired
    private Reading reading;

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private PlatformTransactionManager transactions;

    @Test
    void whatIsWrittenMeanwhileIsNotSeen() {
        reading.of(() -> {
            int before = baskets();
            CompletableFuture.runAsync(() -> writing().executeWithoutResult(status -> insert("meanwhile")))
                    .join();
            assertThat(baskets()).isEqualTo(before);
            assertThat(reading.of(this::baskets)).isEqualTo(before);
            return before;
        });
        assertThat(jdbc.sql("SELECT count(*) FROM baskets WHERE token = 'meanwhile'")
                        .query(Integer.class)
                        .single())
                .isOne();
    }

    @Test
    void insideATransactionItSeesWhatThatWrote() {
        writing().executeWithoutResult(status -> {
            int before = baskets();
            insert("inside");
            assertThat(reading.of(this::baskets)).isEqualTo(before + 1);
            status.setRollbackOnly();
        });
    }

    @Test
    void noTransactionThatWritesBeginsInsideIt() {
        assertThatThrownBy(() -> reading.of(() -> writing().execute(status -> insert("never"))))
                .isInstanceOf(IllegalTransactionStateException.class);
    }

    @Test
    void whatAnEditHasNotCommittedIsSeenByItAlone() {
        String title = title();
        assertThatThrownBy(() -> edits.change("offers", "firing", o -> o.put("title", "Firing at night"), () -> {
                    assertThat(title()).isEqualTo("Firing at night");
                    assertThat(CompletableFuture.supplyAsync(this::title).join())
                            .isEqualTo(title);
                    throw new IllegalStateException("thought better of it");
                }))
                .hasMessage("thought better of it");
        assertThat(title()).isEqualTo(title);
    }

    @Test
    void whatIsKeptIsNeverReadFromAPagesPast() {
        String title = title();
        reading.of(() -> {
            int before = baskets();
            CompletableFuture.runAsync(() -> edits.change("offers", "firing", o -> o.put("title", "Firing meanwhile")))
                    .join();
            assertThat(title()).isEqualTo("Firing meanwhile");
            return before;
        });
        assertThat(title()).isEqualTo("Firing meanwhile");
        edits.change("offers", "firing", o -> o.put("title", title));
    }

    @Test
    void whatItHasCommittedIsSeenByAll() {
        String title = title();
        edits.change("offers", "firing", o -> o.put("title", "Firing at noon"));
        assertThat(title()).isEqualTo("Firing at noon");
        edits.change("offers", "firing", o -> o.put("title", title));
    }

    private String title() {
        return catalogues.catalogue().offer("firing").orElseThrow().title();
    }

    private TransactionTemplate writing() {
        return new TransactionTemplate(transactions);
    }

    private int baskets() {
        return jdbc.sql("SELECT count(*) FROM baskets").query(Integer.class).single();
    }

    private int insert(String token) {
        return jdbc.sql("INSERT INTO baskets (token, created_at) VALUES (?, 1800000000)")
                .param(token)
                .update();
    }
}
