package ebauche.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.crib.Aid;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Drill;
import ebauche.core.crib.Drum;
import ebauche.core.crib.Machine;
import ebauche.core.crib.Router;
import ebauche.core.crib.Saw;
import ebauche.core.shop.Shop;
import ebauche.exchange.json.BuildFileException;
import java.util.List;
import org.assertj.core.util.DoubleComparator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Tools in and out of a file: nothing is lost, what is left out is usual, what cannot be is named where it stands. */
class ShopFieldsTest {
    private static Crib read(ObjectNode crib) {
        ObjectNode shop = JsonNodeFactory.instance.objectNode();
        shop.set("crib", crib);
        return ShopPart.read(shop).shop().crib();
    }

    @Test
    void the_starter_crib_is_read_back_as_it_was() {
        Crib starter = Shop.starter(1).crib();
        // Files keep a hundredth of a micrometre.
        assertThat(read(ShopFields.CRIB.write(starter)))
                .usingRecursiveComparison()
                .withComparatorForType(new DoubleComparator(1e-5), Double.class)
                .isEqualTo(starter);
    }

    @Test
    void every_size_of_a_tool_is_kept() {
        Bit bit = new Bit(
                "bowl 3/4",
                Bit.Profile.BOWL,
                Bit.Bearing.BOTH,
                19.05,
                16,
                70,
                8,
                19,
                5,
                3,
                Bit.Spiral.BOTH_WAYS,
                false,
                18_000,
                Bit.Edge.WORN,
                false,
                "");
        Router router = new Router(
                "table",
                Router.Kind.TABLE,
                Router.Power.STRONG,
                600,
                250,
                55,
                List.of(6.0, 8.0, 12.0),
                14,
                9_000,
                22_000);
        Drill drill = new Drill("long 4", Drill.Kind.LONG, 4, 1, 320);
        Crib crib = new Crib(
                List.of(router),
                List.of(bit),
                List.of(drill),
                List.of(6.0, 9.5),
                List.of(3.0),
                List.of(new Saw("coping", Saw.Kind.COPING, 3, 0.6)),
                List.of(new Drum("thin", 12, 40)),
                List.of(new Aid("rail", Aid.Kind.STRAIGHTEDGE, 900), new Aid("wide", Aid.Kind.LARGE_BASE, 200)),
                List.of(new Machine("planer", Machine.Kind.PLANER, 330)),
                List.of());
        assertThat(read(ShopFields.CRIB.write(crib))).isEqualTo(crib);
    }

    @Test
    void of_a_bit_only_its_main_sizes_are_needed() {
        ObjectNode crib = JsonNodeFactory.instance.objectNode();
        crib.putArray("bits")
                .addObject()
                .put("name", "b")
                .put("bearing", "at-tip")
                .put("diameter", "1/2 in")
                .put("cutterLength", "1 in")
                .put("shank", "1/4 in");
        Crib read = read(crib);
        assertThat(read.bits()).containsExactly(Bit.usual("b", Bit.Bearing.AT_TIP, 12.7, 25.4, 6.35));
        assertThat(read.routers()).isEqualTo(Shop.starter(1).crib().routers());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "bits | diameter | 0 mm | shop.crib.bits[1].diameter | more than zero",
                "bits | overallLength | 5 mm | shop.crib.bits[1].overallLength | must lie between",
                "bits | bearing | sideways | shop.crib.bits[1].bearing | is none of",
                "bits | shank | 40 mm | shop.crib.bits[1].shank | must lie between 2 and 20",
                "bits | edge | blunt | shop.crib.bits[1].edge | is none of",
                "routers | mostTurns | 500 | shop.crib.routers[1].mostTurns | must lie between",
                "routers | flat | 200 mm | shop.crib.routers[1].flat | must lie between",
                "drills | reach | 0 mm | shop.crib.drills[1].reach | must lie between",
                "saws | blade | 0 mm | shop.crib.saws[1].blade | must lie between",
                "saws | kind | bow | shop.crib.saws[1].kind | is none of",
                "drums | height | 1 mm | shop.crib.drums[1].height | must lie between",
                "aids | size | 4000 mm | shop.crib.aids[1].size | must lie between 10 and 3000",
                "drills | spur | 50 mm | shop.crib.drills[1].spur | must lie between"
            })
    void what_cannot_be_is_named_where_it_stands(String kind, String field, String value, String place, String words) {
        ObjectNode crib = ShopFields.CRIB.write(Shop.starter(1).crib());
        ObjectNode tool = (ObjectNode) crib.path(kind).get(0);
        if (field.equals("mostTurns")) {
            tool.put(field, Integer.parseInt(value));
        } else {
            tool.put(field, value);
        }
        assertThatThrownBy(() -> read(crib))
                .isInstanceOfSatisfying(
                        BuildFileException.class,
                        e -> assertThat("shop." + e.place()).isEqualTo(place))
                .hasMessageContaining(words);
    }
}
