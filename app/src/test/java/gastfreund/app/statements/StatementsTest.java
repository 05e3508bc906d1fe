package gastfreund.app.statements;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.app.CheckoutPage;
import gastfreund.app.HostBrowser;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrdersTest;
import gastfreund.app.payments.GatewayAccount;
import gastfreund.app.payments.Gateways;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Transfers match themselves with what the bank's statements say, each once. */
class StatementsTest extends OrdersTest {

    @Autowired
    private Statements statements;

    @Autowired
    private Gateways gateways;

    @Autowired
    private PaymentService payments;

    @Autowired
    private HostService hosts;

    @BeforeEach
    void switchOn() {
        switchTransfers(true);
    }

    @AfterEach
    void switchOff() {
        switchTransfers(false);
    }

    private void switchTransfers(boolean on) {
        gateways.keep(new GatewayAccount(
                GatewayAccount.Kind.TRANSFER,
                GatewayAccount.Mode.LIVE,
                on,
                Map.of("holder", "Quillmere Clay House", "iban", "DE02120300000000202051", "bank", "", "days", "5")));
    }

    private Host okka() {
        return hosts.byEmail("okka@quillmere.example").orElseThrow();
    }

    private Order byTransfer(String name, int daysAhead) {
        String basket = keep(
                "wheel-hire",
                "60",
                1,
                opening("wheel-hire", "60", 1, daysAhead).time().start());
        Map<String, Object> form = CheckoutPage.filled(get(basket + "/checkout").body(), name, "imke@post.example");
        form.put("way", "transfer");
        post(basket + "/checkout", form);
        return orders.newest(1).get(0);
    }

    private Payment transfer(Order order) {
        return payments.ofOrder(order.id()).stream()
                .filter(Payment::isTransfer)
                .findFirst()
                .orElseThrow();
    }

    private static String written(Payment payment) {
        return BigDecimal.valueOf(payment.amount().minor(), 2).toPlainString();
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void whatHasTheRightReferenceAndAmountIsTakenInOnce() throws UnreadableException {
        Order order = byTransfer("Imke Dahl", 21);
        Payment transfer = transfer(order);
        String xml = CamtTest.statement(
                "02",
                CamtTest.entry("B-" + order.number(), written(transfer), "Imke Dahl", transfer.atGateway()),
                CamtTest.entry("C-" + order.number(), "7.00", "Somebody", "nothing of ours"));
        assertThat(statements.take(bytes(xml), "january.xml", okka()))
                .extracting(Statements.Taken::lines, Statements.Taken::matched)
                .containsExactly(2, 1);
        assertThat(now(order).status()).isEqualTo(OrderStatus.PLACED);
        assertThat(line(order).paid()).isEqualTo(transfer.amount());
        assertThatThrownBy(() -> statements.take(bytes(xml), "january.xml", okka()))
                .hasMessage("statements.again");
        assertThat(statements.take(bytes(xml + "\n"), "again.xml", okka()).lines())
                .as("another file with the same lines")
                .isZero();
        booksAgree(order);
    }

    @Test
    void whatIsDoubtfulIsProposedAndTakenByAClick() throws UnreadableException {
        Order order = byTransfer("Ottokar Wendt", 22);
        Payment transfer = transfer(order);
        String xml = CamtTest.statement(
                "02", CamtTest.entry("D-" + order.number(), written(transfer), "WENDT OTTOKAR", "pottery"));
        assertThat(statements.take(bytes(xml), "d.xml", okka()).matched()).isZero();
        StatementStore.Kept open = statements.open().stream()
                .filter(k -> k.line().name().equals("WENDT OTTOKAR"))
                .findFirst()
                .orElseThrow();
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        assertThat(host.get("/desk/statements").body()).contains("Perhaps Ottokar Wendt");
        assertThat(statements.isFor(open.id(), "no such payment", okka())).isFalse();
        assertThat(path(host.post("/desk/statements/lines/" + open.id() + "/for", Map.of("payment", transfer.id()))))
                .endsWith("said=received");
        assertThat(now(order).status()).isEqualTo(OrderStatus.PLACED);
        assertThat(statements.isFor(open.id(), transfer.id(), okka())).isFalse();
        assertThat(statements.isOther(open.id())).isFalse();
    }

    @Test
    void aTablesColumnsAreNamedOnce() throws UnreadableException {
        Order order = byTransfer("Ida Lorenz", 23);
        String heads = "Wertstellung;Von;Text;Summe" + order.number() + "\n";
        String row = "20.01.2027;Ida Lorenz;%s;%s\n";
        Statements.Taken first = statements.take(
                bytes(heads + row.formatted("x", "1,00") + row.formatted("x", "1,00")), "a.csv", okka());
        assertThat(first.columns()).isTrue();
        List<BankTable.Column> columns =
                List.of(BankTable.Column.DATE, BankTable.Column.NAME, BankTable.Column.WORDS, BankTable.Column.AMOUNT);
        assertThatThrownBy(() -> statements.read(first.statement(), List.of(BankTable.Column.WORDS), okka()))
                .hasMessage("statements.noColumns");
        assertThat(statements.read(first.statement(), columns, okka()).lines())
                .as("two payments that look alike are two")
                .isEqualTo(2);
        String due = written(transfer(order)).replace('.', ',');
        Statements.Taken next = statements.take(
                bytes(heads
                        + row.formatted("x", "1,00")
                        + row.formatted(transfer(order).atGateway(), due)),
                "b.csv",
                okka());
        assertThat(next)
                .extracting(Statements.Taken::lines, Statements.Taken::matched)
                .containsExactly(1, 1);
    }

    @Test
    void theGuestsPageHasTheCodeForABankingProgram() {
        Order order = byTransfer("Ruth Zorn", 24);
        assertThat(get("/bookings/" + order.token()).body())
                .contains("QR code of this transfer")
                .contains(transfer(order).atGateway());
    }
}
