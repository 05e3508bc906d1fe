package gastfreund.app.effects;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.Fault;
import gastfreund.app.catalogue.Tried;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Inputs;
import gastfreund.app.languages.Formats;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Says what the reader of house files found wrong in the words of whoever typed it. */
public final class FaultWords {

    private static final Map<Pattern, String> KNOWN = new LinkedHashMap<>();

    static {
        KNOWN.put(Pattern.compile("must be a text that is not blank|is missing"), "fault.blank");
        KNOWN.put(Pattern.compile("must be from (-?\\d+) to (-?\\d+)"), "fault.range");
        KNOWN.put(Pattern.compile("must be a whole number"), "fault.number");
        KNOWN.put(Pattern.compile("must name somebody"), "fault.nobody");
        KNOWN.put(Pattern.compile("must be a mail address"), "fault.email");
        KNOWN.put(Pattern.compile("must be an address that begins with https:// or http://"), "fault.link");
        KNOWN.put(
                Pattern.compile(
                        "must name the place from which the way is measured|must be a place on site that has an address"),
                "fault.from");
        KNOWN.put(Pattern.compile("there is no .*"), "fault.unknown");
        KNOWN.put(Pattern.compile("must be one of (.*)"), "fault.oneOf");
        KNOWN.put(Pattern.compile("must be (?:a colour as #4f6b46)"), "fault.colour");
        KNOWN.put(Pattern.compile("is too light to be read on paper; (.*) could be"), "fault.light");
        KNOWN.put(Pattern.compile("must be a colour as .* that can be read on paper"), "fault.readable");
        KNOWN.put(Pattern.compile("must be a site as .*"), "fault.site");
        KNOWN.put(Pattern.compile("must have tags that are closed"), "fault.tags");
        KNOWN.put(Pattern.compile("has the unknown tag (.*)"), "fault.tag");
        KNOWN.put(Pattern.compile("must be that of its occasion, .*"), "fault.occasion");
        KNOWN.put(Pattern.compile("must leave at least an hour of every day"), "fault.quiet");
        KNOWN.put(Pattern.compile("must be of at most (\\d+) characters"), "fault.tooLong");
        KNOWN.put(Pattern.compile("can be (\\d+) at most"), "fault.most");
        KNOWN.put(Pattern.compile("must be one or two characters"), "fault.sign");
        KNOWN.put(Pattern.compile("must be two letters of a country.*"), "fault.country");
        KNOWN.put(Pattern.compile("must be the file name of a picture"), "fault.picture");
        KNOWN.put(Pattern.compile("must be (?:a time as 21:00|a time such as .*)"), "fault.time");
        KNOWN.put(Pattern.compile("must be a date such as .*"), "fault.date");
        KNOWN.put(Pattern.compile("must be an? (?:instant with an offset|local date and time).*"), "fault.moment");
        KNOWN.put(Pattern.compile("must be a zone of the tz database"), "fault.zone");
        KNOWN.put(Pattern.compile("must be an ISO 4217 code"), "fault.currency");
        KNOWN.put(Pattern.compile("must be a whole number or a decimal text"), "fault.decimal");
        KNOWN.put(Pattern.compile("must be (?:true or false|true)"), "fault.truth");
        KNOWN.put(Pattern.compile("must be (?:an object|an array|a text)"), "fault.kind");
        KNOWN.put(Pattern.compile("is not known here"), "fault.notKnown");
        KNOWN.put(
                Pattern.compile(
                        "(?:has two with the (?:same )?id.*|is the (?:id|name) of another .*|two with the id .*|is there already)"),
                "fault.twice");
        KNOWN.put(Pattern.compile("is equal to another code"), "fault.code");
        KNOWN.put(Pattern.compile("must have something to choose"), "fault.options");
        KNOWN.put(Pattern.compile("goes with choice and choices only"), "fault.noOptions");
        KNOWN.put(Pattern.compile("must have amounts, or a free one"), "fault.amounts");
        KNOWN.put(Pattern.compile("goes with confirm byHand only"), "fault.byHand");
        KNOWN.put(Pattern.compile("goes with lengths of price 0 only"), "fault.free");
        KNOWN.put(Pattern.compile("goes with .* only"), "fault.goesWith");
        KNOWN.put(Pattern.compile("must have exactly one.*"), "fault.exactlyOne");
        KNOWN.put(Pattern.compile("(?:must have an entry|a timetable has at least one entry)"), "fault.entry");
        KNOWN.put(Pattern.compile("must name a day"), "fault.day");
        KNOWN.put(Pattern.compile("is no length of the offer"), "fault.length");
        KNOWN.put(Pattern.compile("is no add-on of the offer"), "fault.addOn");
        KNOWN.put(Pattern.compile("(?:is not among those who serve|does not serve the offer)"), "fault.serves");
        KNOWN.put(
                Pattern.compile(
                        "(?:has two sessions at one start and place|offer .* has two sessions at one start and place)"),
                "fault.twoSessions");
        KNOWN.put(Pattern.compile("a deposit must be given, and only then"), "fault.deposit");
        KNOWN.put(Pattern.compile("a length has 1 to 10,080 minutes.*"), "fault.minutes");
        KNOWN.put(Pattern.compile("a party has at least one person.*"), "fault.party");
        KNOWN.put(Pattern.compile("a shared offer has lengths of exactly one unit"), "fault.oneUnit");
        KNOWN.put(Pattern.compile("a shared offer has no add-ons that take time"), "fault.noTime");
        KNOWN.put(
                Pattern.compile(
                        "a (?:shared session has at least one seat|resource has at least one unit|use takes at least one unit)"),
                "fault.atLeastOne");
        KNOWN.put(Pattern.compile("a timetable\\'s sessions are shared"), "fault.shared");
        KNOWN.put(Pattern.compile("an add-on is sold at least once, per booking exactly once"), "fault.addOnCount");
        KNOWN.put(Pattern.compile("an offer has at least one length"), "fault.lengths");
        KNOWN.put(Pattern.compile("every must be at least 1"), "fault.every");
        KNOWN.put(
                Pattern.compile(
                        "(?:the last date .* is before the first .*|an exception cannot end before it starts.*|an interval cannot end before it starts.*|must be after it begins)"),
                "fault.order");
        KNOWN.put(Pattern.compile("no recurrence rule.*"), "fault.rule");
        KNOWN.put(
                Pattern.compile(
                        "(?:more than .* starts .*|more than a century .*|the rule produces nothing more and does not end.*)"),
                "fault.tooMany");
        KNOWN.put(Pattern.compile("the rule does not produce its own start.*"), "fault.ownStart");
        KNOWN.put(Pattern.compile("UNTIL is a local time.*"), "fault.until");
        KNOWN.put(Pattern.compile("only what is confirmed by hand can be contested"), "fault.contested");
        KNOWN.put(Pattern.compile("staff to pick from must be given, and only then"), "fault.staff");
        KNOWN.put(Pattern.compile("(?:a start lies within a day|a window lies within a day.*)"), "fault.within");
        KNOWN.put(Pattern.compile("units must be 1 or more.*"), "fault.units");
        KNOWN.put(
                Pattern.compile("(?:offer .* names what the house does not have|the house has no .*)"), "fault.names");
        KNOWN.put(Pattern.compile(Pattern.quote(Editing.GONE)), "fault.gone");
    }

    private FaultWords() {}

    /** What is wrong with a document, by its members. */
    public static Map<String, String> at(Tried tried, Document document, Formats f) {
        Map<String, String> wrong = new HashMap<>();
        for (Fault fault : tried.faults()) {
            if (fault.document().equals(document.ref())) {
                wrong.putIfAbsent(Inputs.member(document.json(), fault.path()), of(fault.message(), f));
            }
        }
        return wrong;
    }

    /** In words; what is not known is said as the reader says it. */
    public static String of(String message, Formats f) {
        for (Map.Entry<Pattern, String> known : KNOWN.entrySet()) {
            Matcher matcher = known.getKey().matcher(message);
            if (matcher.matches()) {
                Object[] groups = new Object[matcher.groupCount()];
                for (int i = 0; i < groups.length; i++) {
                    groups[i] = matcher.group(i + 1);
                }
                return f.text(known.getValue(), groups);
            }
        }
        return message;
    }
}
