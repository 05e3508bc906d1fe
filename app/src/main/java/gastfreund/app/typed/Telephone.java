package gastfreund.app.typed;

import com.google.i18n.phonenumbers.NumberParseException;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberFormat;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberType;
import com.google.i18n.phonenumbers.Phonenumber.PhoneNumber;
import java.util.Optional;
import java.util.Set;

/** Telephone numbers as people write them. */
public final class Telephone {

    private static final Set<PhoneNumberType> FIXED = Set.of(
            PhoneNumberType.FIXED_LINE,
            PhoneNumberType.TOLL_FREE,
            PhoneNumberType.PREMIUM_RATE,
            PhoneNumberType.SHARED_COST,
            PhoneNumberType.VOICEMAIL);

    private Telephone() {}

    /**
     * A number to which a text message can go, in the form of E.164 ({@code +491705550123}).
     *
     * @param country in which a number without a country's code is (ISO 3166-1, two letters); empty: nobody knows
     * @return empty where it is no number, or one that gets no text messages
     */
    public static Optional<String> forTexts(String written, String country) {
        PhoneNumberUtil numbers = PhoneNumberUtil.getInstance();
        try {
            PhoneNumber number = numbers.parse(written, country.isEmpty() ? null : country);
            return numbers.isValidNumber(number) && !FIXED.contains(numbers.getNumberType(number))
                    ? Optional.of(numbers.format(number, PhoneNumberFormat.E164))
                    : Optional.empty();
        } catch (NumberParseException e) {
            return Optional.empty();
        }
    }
}
