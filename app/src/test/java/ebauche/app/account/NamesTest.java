package ebauche.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NamesTest {
    /** Unicode Standard Annex 15: wide letters, ligatures and letters with their accents apart have one NFKC form. */
    @Test
    void what_looks_the_same_is_kept_the_same() {
        assertThat(Names.normal("  Ｎora   Ｈill ")).isEqualTo("Nora Hill");
        assertThat(Names.normal("ﬁn")).isEqualTo("fin");
        assertThat(Names.normal("Rene\u0301e")).isEqualTo("Ren\u00e9e");
        assertThat(Names.normal("Nora\u00a0\u3000Hill")).isEqualTo("Nora Hill");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "no\u200bra",
                "nora\u200d",
                "\u202enora",
                "no\u2066ra",
                "no\u0007ra",
                "no\u00adra",
                "\ufeffnora",
                "no\u034fra",
                "\u3164",
                "nora\ufe0f",
                "no\ue000ra",
                "no\u007fra"
            })
    void what_cannot_be_seen_is_found(String name) {
        assertThat(Names.hidesSomething(name)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"nora", "Renée Ødegård", "José Núñez-Smith", "李 明", "O’Neill 2"})
    void names_as_people_have_them_hide_nothing(String name) {
        assertThat(Names.hidesSomething(Names.normal(name))).isFalse();
    }

    @Test
    void accents_and_capitals_do_not_make_another_name() {
        assertThat(Names.alike("Dém\u00d6", "demo")).isTrue();
        assertThat(Names.alike("ｄｅｍｏ", "demo")).isTrue();
        assertThat(Names.alike("demon", "demo")).isFalse();
    }
}
