package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class ThemeTest {
    @Test
    void theRulesOfControlsThatAreNowhereAreLeftOutAndAllOthersStayAsTheyAre() {
        String css = """
                /* what .button { is } */
                .root { -color: #ffffff; }
                .button, .spinner > .button, .combo-box-base .arrow:hover { -fx-padding: 1, 2; }
                .table-view .button { -fx-padding: 3; }
                .button.color-picker { -fx-padding: 4; }
                .tile-like, .tile { -fx-shape: "M 0 0 h 7 z"; }
                """;
        assertThat(Theme.withoutUnused(css).lines())
                .containsExactly(
                        ".root { -color: #ffffff; }", ".button, .combo-box-base .arrow:hover { -fx-padding: 1, 2; }");
        assertThat(Theme.isUnused("table-view")).isTrue();
        assertThat(Theme.isUnused("text-field")).isFalse();
        assertThat(Theme.isUnused("vegetable-view")).as("a part of a name").isFalse();
    }
}
