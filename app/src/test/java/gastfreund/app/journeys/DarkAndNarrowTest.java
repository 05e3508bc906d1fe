package gastfreund.app.journeys;

import com.microsoft.playwright.options.ColorScheme;

/** The pages at night, on a telephone. */
class DarkAndNarrowTest extends Accessibility {

    DarkAndNarrowTest() {
        super(ColorScheme.DARK, 390);
    }
}
