package ebauche.core.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.TestTimber;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Drill;
import ebauche.core.crib.Fit;
import ebauche.core.design.Blank;
import ebauche.core.stock.WoodLeft;
import ebauche.core.timber.Species;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShopTest {
    private final Crib crib = Shop.starter(1).crib();

    @Test
    void there_is_no_other_starter_shop() {
        assertThatThrownBy(() -> Shop.starter(2)).hasMessageContaining("no starter shop 2");
    }

    @Test
    void the_largest_forstner_that_fits_is_taken() {
        assertThat(crib.forstner(30).orElseThrow().name()).isEqualTo("Forstner 1");
        assertThat(crib.forstner(5)).isEmpty();
    }

    /** A ferrule of 5/16 in is loose in a hole of 8 mm, and held by one of its own width; a screw's clearing hole may be wider: common practice. */
    @ParameterizedTest
    @CsvSource({
        "7.9375, PRESS, brad point 5/16",
        "8.0, PRESS, brad point 8",
        "7.8, PRESS, none",
        "11, PRESS, brad point 11",
        "7.5, CLEAR, brad point 5/16",
        "4.8, CLEAR, brad point 3/16",
        "6, CLEAR, none",
        "2.03, PILOT, twist 5/64",
        "2.2, PILOT, twist 3/32",
        "1.7, PILOT, twist 1/16",
        "1.3, PILOT, none"
    })
    void a_drill_is_chosen_by_how_the_part_sits(double wanted, Fit fit, String drill) {
        assertThat(crib.drill(wanted, fit).map(Drill::name).orElse("none")).isEqualTo(drill);
    }

    @Test
    void the_nearest_drill_is_told_whether_it_fits_or_not() {
        assertThat(crib.nearestDrill(7.8).orElseThrow().name()).isEqualTo("brad point 5/16");
    }

    @Test
    void tools_of_no_size_are_refused() {
        assertThatThrownBy(() -> Bit.usual("x", Bit.Bearing.NONE, 0, 10, 6)).hasMessageContaining("more than zero");
        assertThatThrownBy(() -> Drill.usual("x", Drill.Kind.TWIST, -3, 0)).hasMessageContaining("more than zero");
        assertThatThrownBy(() -> Drill.usual("x", Drill.Kind.TWIST, Double.NaN, 0))
                .hasMessageContaining("a number");
        assertThatThrownBy(() -> new Limits(3, 3, 0.5, 0, 0.1, 0.1, 1, 1, 10, 20, 200))
                .hasMessageContaining("between");
    }

    @Test
    void the_limit_itself_is_thick_enough_and_a_hair_less_is_not() {
        Limits limits = new Limits(3, 2, 0.5, 0.15, 0.1, 0.1, 1, 1, 10, 20, 200);
        assertThat(limits.tooThin(WoodLeft.Kind.FLOOR, 3)).isFalse();
        assertThat(limits.tooThin(WoodLeft.Kind.FLOOR, 2.999)).isTrue();
        assertThat(limits.tooThin(WoodLeft.Kind.WALL, 2)).isFalse();
        assertThat(limits.tooThin(WoodLeft.Kind.WALL, 1.999)).isTrue();
    }

    @Test
    void seams_stand_evenly_and_symmetrically_about_the_centre_line() {
        Species ash = TestTimber.ASH;
        assertThat(Blank.plain(ash, 1, 330, 450, 0, 50).seams()).isEmpty();
        assertThat(Blank.plain(ash, 2, 330, 450, 0, 50).seams()).containsExactly(0);
        assertThat(Blank.plain(ash, 3, 330, 450, 0, 50).seams()).containsExactly(-55, 55);
    }
}
