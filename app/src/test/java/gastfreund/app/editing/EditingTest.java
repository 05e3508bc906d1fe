package gastfreund.app.editing;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Role;
import gastfreund.app.languages.Formats;
import gastfreund.core.offers.StaffId;
import gastfreund.housefile.HouseFile;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.MessageSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.ObjectNode;

/** Changing the house: drafts, keeping, merging, undoing, retiring and deleting, on a real file. */
class EditingTest extends DemoHouseTest {

    private static final DocumentRef MIRA = DocumentRef.staff("mira");

    @Autowired
    private Editing editing;

    @Autowired
    private Undoing undoing;

    @Autowired
    private HouseDocuments documents;

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    private PlatformTransactionManager transactions;

    @Autowired
    private MessageSource messages;

    private final Host okka = new Host(1, "okka@quillmere.example", "Okka", "", Role.OWNER, 0, Locale.ENGLISH, "");
    private final Host jonte =
            new Host(77, "jonte@quillmere.example", "Jonte", "", Role.MANAGER, 0, Locale.ENGLISH, "");

    @BeforeEach
    void secondHost() {
        new TransactionTemplate(transactions).executeWithoutResult(t -> jdbc.sql(
                        "INSERT OR IGNORE INTO hosts (id, email, name, password, role, language, created_at)"
                                + " VALUES (77, 'jonte@quillmere.example', 'Jonte', '', 'manager', 'en', 0)")
                .update());
        List.of(okka, jonte)
                .forEach(h -> editing.drop(
                        h, editing.drafts(h).stream().map(Draft::ref).toList()));
    }

    private void set(Host host, DocumentRef ref, String member, Object value) {
        editing.change(host, ref, json -> json.set(member, HouseFile.parse(value.toString())), Map.of());
    }

    private ObjectNode mira() {
        return documents.find(MIRA).orElseThrow().json();
    }

    private long kept(Host host, DocumentRef... refs) {
        Keeping keeping = editing.keep(host, List.of(refs));
        assertThat(keeping).isInstanceOf(Keeping.Kept.class);
        return ((Keeping.Kept) keeping).keeping();
    }

    @Test
    void aDraftCountsForNobodyUntilItIsKeptAndAJournalEntrySaysIt() {
        int version = documents.find(MIRA).orElseThrow().version();
        int was = mira().get("maxPerDay").intValue();
        set(okka, MIRA, "maxPerDay", was + 20);
        assertThat(mira().get("maxPerDay").intValue()).isEqualTo(was);
        assertThat(editing.seen(okka, MIRA)
                        .orElseThrow()
                        .json()
                        .get("maxPerDay")
                        .intValue())
                .isEqualTo(was + 20);
        assertThat(editing.seen(jonte, MIRA)
                        .orElseThrow()
                        .json()
                        .get("maxPerDay")
                        .intValue())
                .isEqualTo(was);
        long keeping = kept(okka, MIRA);
        assertThat(documents.find(MIRA).orElseThrow().version()).isEqualTo(version + 1);
        assertThat(catalogues.catalogue().house().staff(new StaffId("mira")).maxPerDay())
                .hasValue(was + 20);
        assertThat(editing.draft(okka, MIRA)).isEmpty();
        Change change = editing.last(MIRA).orElseThrow();
        assertThat(change.who()).isEqualTo("okka@quillmere.example");
        assertThat(sentences(change)).containsExactly("At most a day: " + was + " → " + (was + 20));
        assertThat(undoing.undo(okka, keeping)).isEqualTo(Undoing.Undone.UNDONE);
        assertThat(mira().get("maxPerDay").intValue()).isEqualTo(was);
        assertThat(editing.last(MIRA).orElseThrow().undoes()).isEqualTo(keeping);
    }

    private List<String> sentences(Change change) {
        Formats f = new Formats(
                messages,
                Locale.ENGLISH,
                catalogues.catalogue().zone(),
                catalogues.catalogue().house().currency());
        return new Sentences(f, new Figures(f.words(), Map.of()), Map.of())
                .of(change.beforeOrNothing(), change.afterOrNothing());
    }

    @Test
    void differentMembersMergeAndTheSameShowsBothUntilSomebodyDecides() {
        set(okka, MIRA, "name", "'Mira Sand'".replace('\'', '"'));
        set(jonte, MIRA, "maxPerDay", 4);
        assertThat(kept(jonte, MIRA)).isPositive();
        assertThat(kept(okka, MIRA)).isPositive();
        assertThat(mira().get("name").stringValue()).isEqualTo("Mira Sand");
        assertThat(mira().get("maxPerDay").intValue()).isEqualTo(4);

        set(okka, MIRA, "maxPerDay", 6);
        set(okka, MIRA, "name", "\"Mira\"");
        set(jonte, MIRA, "maxPerDay", 7);
        kept(jonte, MIRA);
        Keeping both = editing.keep(okka, List.of(MIRA));
        assertThat(both).isInstanceOf(Keeping.Both.class);
        assertThat(((Keeping.Both) both).documents().get(0).members())
                .extracting(Conflict::member)
                .containsExactly("maxPerDay");
        assertThat(mira().get("maxPerDay").intValue()).isEqualTo(7);
        editing.yield(okka, MIRA, Set.of("maxPerDay"));
        kept(okka, MIRA);
        assertThat(mira().get("maxPerDay").intValue()).isEqualTo(7);
        assertThat(mira().get("name").stringValue()).isEqualTo("Mira");
    }

    @Test
    void nothingWrongIsKeptAndNothingIsLost() {
        set(okka, MIRA, "maxPerDay", -4);
        set(okka, MIRA, "name", "\"\"");
        editing.change(okka, MIRA, json -> {}, Map.of("tue", "half past"));
        Keeping wrong = editing.keep(okka, List.of(MIRA));
        assertThat(wrong).isInstanceOf(Keeping.Wrong.class);
        assertThat(((Keeping.Wrong) wrong).faults())
                .allMatch(f -> f.document().equals(MIRA))
                .extracting(f -> f.path())
                .contains("name", "maxPerDay");
        assertThat(((Keeping.Wrong) wrong).unread().get(MIRA)).containsEntry("tue", "half past");
        assertThat(editing.draft(okka, MIRA).orElseThrow().typed()).containsEntry("tue", "half past");
        assertThat(mira().get("maxPerDay").intValue()).isPositive();
    }

    @Test
    void oneOfSeveralThatIsWrongKeepsTheOthersFromCounting() {
        int was = mira().get("maxPerDay").intValue();
        set(okka, MIRA, "maxPerDay", was + 20);
        set(okka, DocumentRef.staff("jonte"), "maxPerDay", -1);
        assertThat(editing.keep(okka, List.of(MIRA, DocumentRef.staff("jonte"))))
                .isInstanceOf(Keeping.Wrong.class);
        assertThat(mira().get("maxPerDay").intValue()).isEqualTo(was);
    }

    @Test
    void severalAreKeptTogetherAndUndoneTogether() {
        DocumentRef okkas = DocumentRef.staff("okka");
        set(okka, MIRA, "maxPerDay", mira().get("maxPerDay").intValue() + 20);
        set(okka, okkas, "maxPerDay", 12);
        long keeping = kept(okka, MIRA, okkas);
        assertThat(catalogues.catalogue().house().staff(new StaffId("okka")).maxPerDay())
                .hasValue(12);
        assertThat(undoing.undo(okka, keeping)).isEqualTo(Undoing.Undone.UNDONE);
        assertThat(catalogues.catalogue().house().staff(new StaffId("okka")).maxPerDay())
                .isEmpty();
    }

    @Test
    void whatSomebodyDeletedIsNotBroughtBackByADraft() {
        DocumentRef shelf = new DocumentRef(DocumentRef.Kind.RESOURCES, "shelf");
        editing.begin(okka, new Document(shelf, 0, (ObjectNode)
                HouseFile.parse("{\"id\": \"shelf\", \"name\": \"Shelf\", \"units\": 1}")));
        kept(okka, shelf);
        set(jonte, shelf, "units", 3);
        assertThat(undoing.delete(okka, shelf)).isInstanceOf(Undoing.Deleting.Deleted.class);
        assertThat(editing.keep(jonte, List.of(shelf))).isInstanceOf(Keeping.Wrong.class);
        assertThat(documents.find(shelf)).isEmpty();
    }

    @Test
    void whatWasChangedAgainIsNotUndoneAndOtherMembersDoNotMatter() {
        set(okka, MIRA, "maxPerDay", mira().get("maxPerDay").intValue() + 20);
        long first = kept(okka, MIRA);
        set(okka, MIRA, "name", "\"Mira the second\"");
        long second = kept(okka, MIRA);
        assertThat(undoing.undo(okka, first)).isEqualTo(Undoing.Undone.UNDONE);
        assertThat(mira().get("name").stringValue()).isEqualTo("Mira the second");
        set(okka, MIRA, "name", "\"Mira the third\"");
        kept(okka, MIRA);
        assertThat(undoing.undo(okka, second)).isEqualTo(Undoing.Undone.CHANGED_SINCE);
        assertThat(undoing.undo(okka, 987_654)).isEqualTo(Undoing.Undone.UNKNOWN);
        set(okka, MIRA, "name", "\"Mira\"");
        kept(okka, MIRA);
    }

    @Test
    void somebodyNewIsMadeAndUndoneAndSomebodyBookedIsNeverDeleted() {
        DocumentRef lune = DocumentRef.staff("lune");
        ObjectNode json = (ObjectNode) HouseFile.parse("{\"id\": \"lune\", \"name\": \"Lune\"}");
        assertThat(editing.begin(okka, new Document(lune, 0, json))).isTrue();
        assertThat(editing.begin(okka, new Document(lune, 0, json))).isFalse();
        long keeping = kept(okka, lune);
        assertThat(catalogues.catalogue().house().staff())
                .anyMatch(s -> s.name().equals("Lune"));
        assertThat(undoing.undo(okka, keeping)).isEqualTo(Undoing.Undone.UNDONE);
        assertThat(documents.find(lune)).isEmpty();

        assertThat(editing.begin(okka, new Document(lune, 0, json))).isTrue();
        kept(okka, lune);
        Undoing.Deleting deleted = undoing.delete(okka, lune);
        assertThat(deleted).isInstanceOf(Undoing.Deleting.Deleted.class);
        assertThat(undoing.undo(okka, ((Undoing.Deleting.Deleted) deleted).keeping()))
                .isEqualTo(Undoing.Undone.UNDONE);
        assertThat(documents.find(lune)).isPresent();

        assertThat(undoing.delete(okka, MIRA)).isInstanceOf(Undoing.Deleting.Booked.class);
        assertThat(documents.find(MIRA)).isPresent();
    }

    @Test
    void aDraftThatIsAsTheDocumentIsNone() {
        set(okka, MIRA, "maxPerDay", mira().get("maxPerDay").intValue() + 1);
        assertThat(editing.draft(okka, MIRA)).isPresent();
        editing.change(
                okka,
                MIRA,
                json -> json.put("maxPerDay", mira().get("maxPerDay").intValue()),
                Map.of());
        assertThat(editing.draft(okka, MIRA)).isEmpty();
        assertThat(kept(okka, MIRA)).isZero();
    }
}
