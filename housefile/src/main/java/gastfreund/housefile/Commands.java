package gastfreund.housefile;

import gastfreund.core.bookings.Booked;
import gastfreund.core.offers.House;
import gastfreund.core.openings.Clashes;
import gastfreund.core.openings.Comparison;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Series;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** The commands on a house file ({@code docs/house-format.md}): they run the core alone. */
public final class Commands {

    private static final int BAD_INPUT = 2;

    private Commands() {}

    /** @param arguments the command, the house file, and the file with what is asked */
    public static void main(String[] arguments) {
        System.exit(run(arguments, System.out, System.err));
    }

    /** Runs a command; gives its exit status. */
    static int run(String[] arguments, PrintStream out, PrintStream err) {
        if (arguments.length == 2 && arguments[0].equals("due")) {
            return printed(() -> read(arguments[1], DueCases::answer), arguments[1], out, err);
        }
        boolean compares = arguments.length > 0 && arguments[0].equals("compare");
        boolean known = arguments.length > 0
                && (compares
                        || List.of("openings", "explain", "quote", "cancellation", "clashes", "series")
                                .contains(arguments[0]));
        if (!known || arguments.length != (compares ? 4 : 3)) {
            err.println(
                    "usage: openings | explain | series | quote | cancellation | clashes, then HOUSE.json and a file with what"
                            + " is asked; or compare, then BEFORE.json, AFTER.json and such a file; or due, then such a file");
            return BAD_INPUT;
        }
        String cases = arguments[arguments.length - 1];
        return printed(
                () -> {
                    HouseFile house = read(arguments[1], HouseFile::read);
                    HouseFile after = compares ? read(arguments[2], HouseFile::read) : house;
                    return read(
                            cases,
                            asked -> compares ? compare(house, after, asked) : answer(arguments[0], house, asked));
                },
                cases,
                out,
                err);
    }

    /** Prints an answer, or what is wrong with what was asked; gives the exit status. */
    private static int printed(Supplier<JsonNode> answering, String cases, PrintStream out, PrintStream err) {
        try {
            JsonNode answer = answering.get();
            PrintStream utf8 = new PrintStream(out, false, StandardCharsets.UTF_8);
            utf8.println(HouseFile.printed(answer));
            utf8.flush();
            return 0;
        } catch (BadFileException e) {
            err.println(e.getMessage());
            return BAD_INPUT;
        } catch (ArithmeticException e) {
            err.println(cases + ": an amount or a number of units is too large to be worked out");
            return BAD_INPUT;
        }
    }

    private static <T> T read(String file, Function<JsonNode, T> reader) {
        try {
            return reader.apply(HouseFile.parse(Files.readString(Path.of(file))));
        } catch (BadFileException e) {
            throw new BadFileException(file, e.problems());
        } catch (IOException e) {
            throw new BadFileException(file, List.of(new Problem("", "cannot be read: " + e)));
        }
    }

    /**
     * The answer to each of what is asked.
     *
     * @throws BadFileException with every problem of what is asked
     */
    static ArrayNode answer(String command, HouseFile house, JsonNode asked) {
        return switch (command) {
            case "openings", "explain" -> openings(house, asked, command.equals("explain"));
            case "clashes" -> clashes(house, asked);
            case "series" -> series(house, asked);
            case "quote" -> each(QuoteReader.quotes(house, asked), QuoteWriter::written);
            default -> each(QuoteReader.cancellations(house, asked), QuoteWriter::written);
        };
    }

    private static ArrayNode series(HouseFile file, JsonNode asked) {
        Booked booked = Booked.of(file.bookings(), file.busy());
        House house = file.house();
        AnswerWriter writer = new AnswerWriter(house.zone(), false);
        return each(new QueryReader(house).series(asked), one -> writer.series(Series.of(house, booked, one)));
    }

    private static ArrayNode clashes(HouseFile file, JsonNode asked) {
        Booked booked = Booked.of(file.bookings(), file.busy());
        ChangeWriter writer = new ChangeWriter(file.house());
        return each(
                ChangeReader.clashCases(asked),
                one -> writer.clashes(Clashes.of(file.house(), booked, one.from(), one.to(), one.now())));
    }

    /**
     * What a change does, for each of what is asked.
     *
     * @throws BadFileException with every problem of what is asked
     */
    static ArrayNode compare(HouseFile before, HouseFile after, JsonNode asked) {
        Booked bookedBefore = Booked.of(before.bookings(), before.busy());
        Booked bookedAfter = Booked.of(after.bookings(), after.busy());
        ChangeWriter writer = new ChangeWriter(after.house());
        return each(
                ChangeReader.compareCases(asked),
                one -> writer.compared(Comparison.of(
                        before.house(), bookedBefore, after.house(), bookedAfter, one.now(), one.days())));
    }

    private static ArrayNode openings(HouseFile file, JsonNode asked, boolean explain) {
        Booked booked = Booked.of(file.bookings(), file.busy());
        House house = file.house();
        return each(new QueryReader(house).queries(asked), query -> {
            AnswerWriter writer = new AnswerWriter(
                    house.zone(), house.offer(query.offer()).orElseThrow().hasTimetable());
            return explain
                    ? writer.explanation(Openings.explain(house, booked, query))
                    : writer.openings(Openings.openings(house, booked, query));
        });
    }

    private static <T> ArrayNode each(List<T> asked, Function<T, JsonNode> answer) {
        ArrayNode answers = JsonNodeFactory.instance.arrayNode();
        asked.forEach(one -> answers.add(answer.apply(one)));
        return answers;
    }
}
