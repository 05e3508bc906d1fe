package gastfreund.app.journeys;

import com.microsoft.playwright.options.ColorScheme;

/** The pages at night, on a telephone. */
class NarrowAndDarkTest extends Accessibility {

    NarrowAndDarkTest() {
        super(ColorScheme.DARK, 390);
    }
}
