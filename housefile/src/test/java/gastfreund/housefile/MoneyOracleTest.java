package gastfreund.housefile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Set;
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
        long first = System.nanoTime();
        LongStream.range(first, first + HOUSES).forEach(seed -> {
            RandomMoney random = new RandomMoney(seed);
            ObjectNode house = random.house();
            ArrayNode baskets = random.baskets(house);
            MoneyOracle oracle = new MoneyOracle(house);
            JsonNode answers = Commands.answer("quote", HouseFile.read(house), baskets);
            for (int i = 0; i < baskets.size(); i++) {
                assertThat(HouseFile.printed(answers.get(i)))
                        .as("seed %d, basket %d: %s of %s", seed, i, baskets.get(i), house)
                        .isEqualTo(HouseFile.printed(oracle.quote(baskets.get(i))));
                outcomes.add(answers.get(i).get("promo").stringValue());
            }
        });
        assertThat(outcomes).as("every outcome of a code was met").hasSize(8);
    }

    @Test
    void cancellationsAreThoseOfTheOracle() {
        long first = System.nanoTime();
        LongStream.range(first, first + HOUSES).forEach(seed -> {
            RandomMoney random = new RandomMoney(seed);
            ObjectNode house = random.house();
            ArrayNode cases = random.cancellations();
            MoneyOracle oracle = new MoneyOracle(house);
            JsonNode answers = Commands.answer("cancellation", HouseFile.read(house), cases);
            for (int i = 0; i < cases.size(); i++) {
                assertThat(HouseFile.printed(answers.get(i)))
                        .as("seed %d, case %d: %s of %s", seed, i, cases.get(i), house)
                        .isEqualTo(HouseFile.printed(oracle.cancellation(cases.get(i))));
            }
        });
    }
}
