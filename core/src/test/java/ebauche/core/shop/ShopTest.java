package ebauche.core.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.TestTimber;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Drill;
import ebauche.core.design.Blank;
import ebauche.core.stock.WoodLeft;
import ebauche.core.timber.Species;
import org.junit.jupiter.api.Test;

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

    @Test
    void a_drill_is_found_by_its_diameter_within_a_tolerance() {
        assertThat(crib.drill(4.76, 0.3).orElseThrow().name()).isEqualTo("brad point 3/16");
        assertThat(crib.drill(6, 0.3)).isEmpty();
    }

    @Test
    void tools_of_no_size_are_refused() {
        assertThatThrownBy(() -> Bit.usual("x", Bit.Bearing.NONE, 0, 10, 6)).hasMessageContaining("more than nought");
        assertThatThrownBy(() -> Drill.usual("x", Drill.Kind.TWIST, -3, 0)).hasMessageContaining("more than nought");
        assertThatThrownBy(() -> Drill.usual("x", Drill.Kind.TWIST, Double.NaN, 0))
                .hasMessageContaining("a number");
        assertThatThrownBy(() -> new Limits(3, 3, 0.5, 0, 0.1, 0.1, 1, 1, 10, 20))
                .hasMessageContaining("between");
    }

    @Test
    void the_limit_itself_is_thick_enough_and_a_hair_less_is_not() {
        Limits limits = new Limits(3, 2, 0.5, 0.15, 0.1, 0.1, 1, 1, 10, 20);
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
