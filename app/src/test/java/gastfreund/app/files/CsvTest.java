package gastfreund.app.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.app.pages.Table;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is written as a table is read as the same, and no table program takes a value for a formula. */
class CsvTest {

    @Test
    void whatIsWrittenIsReadAsTheSame() {
        List<String> plain =
                List.of("one, two", "a \"word\"", "two\nlines", "=sum", "-5", "ü", "semi;colon", "'quoted'");
        List<List<String>> rows = plain.stream().map(v -> List.of("x", v)).toList();
        assertThat(Csv.read(Table.written(List.of("a", "b"), rows), List.of("a", "b")))
                .extracting(r -> r.get("b"))
                .isEqualTo(plain);
    }

    @Test
    void aFormulaIsNone() {
        String table =
                Table.written(List.of("a"), List.of(List.of("=1+1"), List.of("@x"), List.of("-5"), List.of("+49 30")));
        assertThat(table.lines()).containsExactly("a", "'=1+1", "'@x", "-5", "'+49 30");
    }

    @Test
    void aTableOfOtherColumnsIsRefusedAndSemicolonsAreUnderstood() {
        assertThatThrownBy(() -> Csv.read("b\r\n1", List.of("a"))).isInstanceOf(UnfitFileException.class);
        assertThatThrownBy(() -> Csv.read("a,a\r\n1,2", List.of("a"))).isInstanceOf(UnfitFileException.class);
        assertThat(Csv.read("\ufeffa;c\r\n1,5;2", List.of("a", "c")))
                .singleElement()
                .isEqualTo(java.util.Map.of("a", "1,5", "c", "2"));
    }
}
