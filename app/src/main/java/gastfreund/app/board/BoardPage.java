package gastfreund.app.board;

import gastfreund.app.pages.SideSheet;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What the page of the board shows.
 *
 * @param now the time of day; shown where the board is that of today
 * @param side null where nothing is selected
 */
public record BoardPage(
        Board board, Ruler ruler, LocalDate earlier, LocalDate later, String now, @Nullable SideSheet side) {}
