package gastfreund.housefile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The core's quotes and cancellations against those of a second, plain way of working them out. */
class MoneyOracleTest {

    private static final int HOUSES = 600;

    @Test
    void quotesAreThoseOfTheOracle() {
        Set<String> outcomes = new HashSet<>();
        compare(
                "quote",
                RandomMoney::baskets,
                MoneyOracle::quote,
                q -> outcomes.add(q.get("promo").stringValue()));
        assertThat(outcomes).as("every outcome of a code was met").hasSize(8);
    }

    @Test
    void cancellationsAreThoseOfTheOracle() {
        Set<Boolean> kept = new HashSet<>();
        compare(
                "cancellation",
                (random, house) -> random.cancellations(),
                MoneyOracle::cancellation,
                c -> kept.add(c.get("uncollected").longValue() > 0));
        assertThat(kept).as("more was kept than was paid, and not").hasSize(2);
    }

    /** Asks both about many houses; what was answered goes on to {@code met}. */
    private static void compare(
            String command,
            BiFunction<RandomMoney, JsonNode, ArrayNode> questions,
            BiFunction<MoneyOracle, JsonNode, ObjectNode> right,
            Consumer<JsonNode> met) {
        long first = System.nanoTime();
        LongStream.range(first, first + HOUSES).forEach(seed -> {
            RandomMoney random = new RandomMoney(seed);
            ObjectNode house = random.house();
            ArrayNode asked = questions.apply(random, house);
            JsonNode answers = Commands.answer(command, HouseFile.read(house), asked);
            MoneyOracle oracle = new MoneyOracle(house);
            for (int i = 0; i < asked.size(); i++) {
                assertThat(HouseFile.printed(answers.get(i)))
                        .as("%s, seed %d, %d: %s of %s", command, seed, i, asked.get(i), house)
                        .isEqualTo(HouseFile.printed(right.apply(oracle, asked.get(i))));
                met.accept(answers.get(i));
            }
        });
    }
}
