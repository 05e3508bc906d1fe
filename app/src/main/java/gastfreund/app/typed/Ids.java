package gastfreund.app.typed;

import gastfreund.core.bookings.BookingId;
import java.util.regex.Pattern;
import org.springframework.context.annotation.Configuration;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Names of things in addresses: whatever cannot be one is refused before anything is looked up. */
@Configuration
class Ids implements WebMvcConfigurer {

    private static final Pattern ID = Pattern.compile("[A-Za-z0-9_.:-]{1,100}+");

    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverter(String.class, BookingId.class, Ids::bookingId);
    }

    private static BookingId bookingId(String text) {
        if (!ID.matcher(text).matches()) {
            throw new IllegalArgumentException("that is no name of a booking");
        }
        return new BookingId(text);
    }
}
