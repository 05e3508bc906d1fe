package gastfreund.app.lookedfor;

import java.time.LocalDate;

/**
 * How many guests asked for something in vain.
 *
 * @param on the date on which they asked
 * @param guests each once a day
 */
public record Counted(InVain asked, LocalDate on, int guests) {}
