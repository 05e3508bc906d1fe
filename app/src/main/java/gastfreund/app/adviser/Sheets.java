package gastfreund.app.adviser;

import gastfreund.app.languages.Formats;
import gastfreund.core.money.Money;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** A month as tables: for the page and to be printed in words, as CSV in codes. */
final class Sheets {

    /** @param rows the first column says what a row is */
    public record Part(String title, String empty, List<String> heads, List<List<String>> rows) {}

    static final List<String> COLUMNS =
            List.of("part", "date", "number", "kind", "order", "rate", "net", "tax", "gross", "in", "out", "currency");

    private final Month month;
    private final Formats f;

    Sheets(Month month, Formats f) {
        this.month = month;
        this.f = f;
    }

    /** All parts in words. */
    List<Part> parts() {
        return List.of(taxes(), payments(), vouchers(), documents());
    }

    private Part part(String name, List<String> heads, List<List<String>> rows) {
        return new Part(
                f.text("adviser.part." + name),
                f.text("adviser.part." + name + ".none"),
                heads.stream().map(head -> f.text("adviser.head." + head)).toList(),
                rows);
    }

    private Part taxes() {
        List<List<String>> rows = new ArrayList<>();
        for (Month.Rate rate : month.taxes()) {
            rows.add(List.of(
                    f.text("adviser.rate", rate.rate()),
                    f.money(rate.net()),
                    f.money(rate.tax()),
                    f.money(rate.gross())));
        }
        if (!month.documents().isEmpty()) {
            rows.add(List.of(
                    f.text("adviser.untaxed"),
                    f.money(month.untaxed()),
                    f.money(Money.ZERO),
                    f.money(month.untaxed())));
            Money net = Money.sum(month.taxes().stream().map(Month.Rate::net).toList())
                    .plus(month.untaxed());
            rows.add(List.of(
                    f.text("adviser.sum"), f.money(net), f.money(month.total().minus(net)), f.money(month.total())));
        }
        return part("taxes", List.of("rate", "net", "tax", "gross"), rows);
    }

    private Part payments() {
        List<List<String>> rows = new ArrayList<>();
        Money in = Money.ZERO;
        Money out = Money.ZERO;
        for (Month.Paid paid : month.payments()) {
            rows.add(List.of(
                    f.text("gateway." + paid.way()),
                    f.money(paid.in()),
                    f.money(paid.out()),
                    f.money(paid.in().minus(paid.out()))));
            in = in.plus(paid.in());
            out = out.plus(paid.out());
        }
        if (!rows.isEmpty()) {
            rows.add(List.of(f.text("adviser.sum"), f.money(in), f.money(out), f.money(in.minus(out))));
        }
        return part("payments", List.of("way", "in", "out", "left"), rows);
    }

    private Part vouchers() {
        Month.Vouchers v = month.vouchers();
        List<List<String>> rows = new ArrayList<>();
        if (v.issued() > 0 || !v.used().isZero() || v.passes() > 0 || v.visits() != 0) {
            rows.add(List.of(f.text("adviser.vouchersSold"), Integer.toString(v.issued()), f.money(v.sold())));
            rows.add(List.of(f.text("adviser.vouchersUsed"), "", f.money(v.used())));
            rows.add(List.of(f.text("adviser.passesSold"), Integer.toString(v.passes()), ""));
            rows.add(List.of(f.text("adviser.visitsUsed"), Long.toString(v.visits()), ""));
        }
        return part("vouchers", List.of("what", "count", "amount"), rows);
    }

    private Part documents() {
        return part(
                "documents",
                List.of("number", "date", "kind", "order", "net", "tax", "gross"),
                month.documents().stream()
                        .map(d -> List.of(
                                Long.toString(d.number()),
                                f.fullDate(d.at()),
                                f.text("adviser.kind." + d.kind()),
                                Long.toString(d.order()),
                                f.money(net(d)),
                                f.money(d.total().minus(net(d))),
                                f.money(d.total())))
                        .toList());
    }

    private static Money net(Month.Issued document) {
        return Money.sum(document.taxes().stream().map(Month.Rate::net).toList())
                .plus(document.untaxed());
    }

    /** All rows for a program: one for each rate of a document, each way of paying, and what of vouchers. */
    List<List<String>> rows() {
        List<List<String>> rows = new ArrayList<>();
        for (Month.Issued d : month.documents()) {
            String date = d.at().atZone(f.zone().id()).format(DateTimeFormatter.ISO_LOCAL_DATE);
            Stream<Month.Rate> rates = d.untaxed().isZero()
                    ? d.taxes().stream()
                    : Stream.concat(d.taxes().stream(), Stream.of(new Month.Rate("0", d.untaxed(), Money.ZERO)));
            rates.forEach(r -> rows.add(List.of(
                    "document",
                    date,
                    Long.toString(d.number()),
                    d.kind(),
                    Long.toString(d.order()),
                    r.rate(),
                    f.decimal(r.net()),
                    f.decimal(r.tax()),
                    f.decimal(r.gross()),
                    "",
                    "",
                    f.currencyCode())));
        }
        month.payments().forEach(p -> rows.add(plain("payments", p.way(), f.decimal(p.in()), f.decimal(p.out()))));
        Month.Vouchers v = month.vouchers();
        rows.add(plain("vouchers", "voucher", f.decimal(v.sold()), f.decimal(v.used())));
        return rows;
    }

    private List<String> plain(String part, String kind, String in, String out) {
        return List.of(part, month.month().toString(), "", kind, "", "", "", "", "", in, out, f.currencyCode());
    }
}
