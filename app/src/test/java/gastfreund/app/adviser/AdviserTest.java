package gastfreund.app.adviser;

import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import gastfreund.app.AllRounds;
import gastfreund.app.HostBrowser;
import gastfreund.app.endings.Endings;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.till.Hand;
import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import gastfreund.core.terms.Terms;
import java.io.StringReader;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.YearMonth;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A tax adviser's months beside documents and ledger, to the cent. */
class AdviserTest extends OrdersTest {

    @Autowired
    private Adviser adviser;

    @Autowired
    private Endings endings;

    @Autowired
    private AllRounds rounds;

    private List<Month> months;

    /** Somebody pays, somebody cancels and gets money back, somebody pays at the house; and all of it in two months. */
    @BeforeEach
    void twoMonths() {
        paid("private-lesson", "60", 6, "WORKS");
        Order cancelled = paid("wheel-hire", "120", 8, "WORKS");
        Money back = endings.proposal(line(cancelled), Terms.By.GUEST).refund();
        endings.cancelByGuest(cancelled, line(cancelled).reserved().id(), back, "");
        clock.moveAhead(Duration.ofDays(25));
        Order late = paid("private-lesson", "90", 9, "WORKS");
        Money rest = line(late).unpaid();
        assertThat(rest.isPositive()).isTrue();
        endings.paidOnTheSpot(
                late, line(late).reserved().id(), Hand.CASH, rest, line(late).paid(), HOST);
        rounds.run();
        YearMonth now = adviser.thisMonth();
        months = Stream.iterate(now.minusMonths(6), m -> !m.isAfter(now), m -> m.plusMonths(1))
                .map(adviser::of)
                .toList();
    }

    private Map<String, Long> asked(String sql) {
        Map<String, Long> sums = new TreeMap<>();
        jdbc.sql(sql).query(row -> {
            sums.put(row.getString(1), row.getLong(2));
        });
        sums.values().removeIf(n -> n == 0);
        return sums;
    }

    private Map<String, Long> together(Function<Month.Paid, Money> of) {
        Map<String, Long> sums = new TreeMap<>();
        months.stream()
                .flatMap(m -> m.payments().stream())
                .forEach(p -> sums.merge(p.way(), of.apply(p).minor(), Long::sum));
        sums.values().removeIf(n -> n == 0);
        return sums;
    }

    @Test
    void allMonthsTogetherAreTheLedger() {
        assertThat(together(Month.Paid::in))
                .isEqualTo(asked("SELECT gateway, sum(captured) FROM payments GROUP BY gateway"))
                .containsKeys("elsewhere", "cash");
        assertThat(together(Month.Paid::out))
                .isEqualTo(asked("SELECT gateway, sum(refunded) FROM payments GROUP BY gateway"))
                .isNotEmpty();
        assertThat(jdbc.sql("SELECT count(*) FROM payments WHERE captured > 0 AND state NOT IN (?, ?, ?)")
                        .params(
                                PaymentState.CAPTURED.code(),
                                PaymentState.REFUNDED.code(),
                                PaymentState.PARTLY_REFUNDED.code())
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void allMonthsTogetherAreTheDocuments() {
        Map<String, Long> sums =
                asked("SELECT kind, sum(json_extract(content, '$.total')) FROM documents GROUP BY kind");
        long total = months.stream().mapToLong(m -> m.total().minor()).sum();
        assertThat(total).isEqualTo(sums.get("receipt") - sums.get("credit-note"));
        Map<String, Long> taxes = new TreeMap<>();
        jdbc.sql("SELECT kind, t.value ->> 'rate' AS rate, t.value ->> 'tax' AS tax"
                        + " FROM documents, json_each(content, '$.taxes') t")
                .query(row -> {
                    long sign = row.getString("kind").equals("receipt") ? 1 : -1;
                    taxes.merge(row.getString("rate"), sign * row.getLong("tax"), Long::sum);
                });
        Map<String, Long> told = new TreeMap<>();
        months.stream()
                .flatMap(m -> m.taxes().stream())
                .forEach(r -> told.merge(r.rate(), r.tax().minor(), Long::sum));
        assertThat(told).isEqualTo(taxes).isNotEmpty();
        assertThat(months.stream().filter(m -> !m.documents().isEmpty())).hasSizeGreaterThanOrEqualTo(2);
        for (Month month : months) {
            Money parts = Money.sum(
                            month.taxes().stream().map(Month.Rate::gross).toList())
                    .plus(month.untaxed());
            assertThat(parts).as(month.month().toString()).isEqualTo(month.total());
        }
    }

    @Test
    void theFilesSayTheSame() throws Exception {
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        Month month = months.get(months.size() - 1);
        String path = "/desk/figures/month";
        String csv = host.get(path + ".csv?month=" + month.month()).body();
        BigDecimal gross = BigDecimal.ZERO;
        for (CSVRecord row : CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(csv))) {
            if (row.get("part").equals("document")) {
                gross = gross.add(new BigDecimal(row.get("gross")));
            }
        }
        assertThat(gross).isEqualByComparingTo(BigDecimal.valueOf(month.total().minor(), 2));
        PdfReader pdf =
                new PdfReader(host.bytes(path + ".pdf?month=" + month.month()).body());
        String words = new PdfTextExtractor(pdf).getTextFromPage(1);
        assertThat(words).contains("For the tax adviser: ", "in cash", "Receipts and credit notes, by rate");
        assertThat(host.get(path).body()).contains("in cash").contains(".csv?month=" + month.month());
        assertThat(host.get(path + "?month=nonsense").body()).contains(".csv?month=" + month.month());
    }
}
