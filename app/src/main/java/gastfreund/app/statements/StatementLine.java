package gastfreund.app.statements;

import gastfreund.core.money.Money;
import java.time.LocalDate;

/**
 * Money that came in, as a statement says it.
 *
 * @param mark what the bank calls it, or what it says; the same for the same line in every file
 * @param name of whoever sent it; empty: it is not said
 * @param words what it is for
 */
record StatementLine(String mark, LocalDate booked, Money amount, String name, String words) {}
