package gastfreund.app;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;

/** Classes of the product, without the tests' and those that the framework has generated at an earlier build. */
public final class WrittenByUs implements ImportOption {

    private static final ImportOption NO_TESTS = new DoNotIncludeTests();

    @Override
    public boolean includes(Location location) {
        return NO_TESTS.includes(location) && !location.contains("__") && !location.contains("$$");
    }
}
