package gastfreund.app.journal;

import java.time.Instant;

/**
 * A step that an order, a booking or a payment took.
 *
 * @param about {@code order}, {@code booking} or {@code payment}
 * @param subject which booking or payment
 * @param who {@code guest}, {@code house} or {@code gateway}
 */
public record JournalEntry(
        long order, String about, String subject, String from, String to, Actor who, String why, Instant at) {}
