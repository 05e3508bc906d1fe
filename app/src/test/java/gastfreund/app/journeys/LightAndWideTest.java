package gastfreund.app.journeys;

import com.microsoft.playwright.options.ColorScheme;

/** The pages by day, on a desk. */
class LightAndWideTest extends Accessibility {

    LightAndWideTest() {
        super(ColorScheme.LIGHT, 1280);
    }
}
