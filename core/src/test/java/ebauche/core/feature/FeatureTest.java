package ebauche.core.feature;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.feature.FeatureKind.Role;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Lasting names: what files have written stays readable, and says the same. */
class FeatureTest {
    /** Every word that a plan or a record has ever held, as it was said before features were values. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "neck | neck pocket | neck",
                "neck-screws | neck screw holes | neck screws",
                "neck-ferrules | neck ferrule seats | neck ferrules",
                "controls | control cavity | controls",
                "cover | cover recess | cover",
                "cover-screws | cover screw holes | cover screws",
                "cavity-neck-switch | neck switch cavity | neck switch cavity",
                "recess-switch | switch cavity cover recess | switch cavity cover",
                "screws-switch | switch cover screw holes | switch cover screws",
                "jack | jack hole | jack",
                "springs | spring cavity | springs",
                "vibrato | vibrato route | vibrato",
                "string-holes | string holes | string holes",
                "ferrules | ferrule seats | ferrules",
                "bridge | bridge | bridge",
                "bridge-studs | bridge stud holes | bridge studs",
                "bridge-recess | bridge recess | bridge recess",
                "scratch-plate | scratch plate | scratch plate",
                "pickup-neck | neck pickup cavity | neck pickup",
                "pickup-far-treble | far treble pickup cavity | far treble pickup",
                "legs-bridge | bridge pickup leg pockets | legs bridge",
                "control-pickup-selector | pickup selector hole | pickup selector",
                "step-pickup-selector | step under the pickup selector | step pickup selector",
                "hole-strap-horn | strap horn hole | strap horn",
                "contour-forearm | forearm contour | contour forearm",
                "outline | outline | outline",
                "blank | blank | blank",
                "front | front | front",
                "edge | edge | edge",
                "from-another-program | from another program | from another program"
            })
    void a_word_is_read_back_and_says_the_same(String word, String said, String part) {
        Feature feature = Feature.parse(word);
        assertThat(feature.word()).isEqualTo(word).hasToString(feature.toString());
        assertThat(feature.said()).isEqualTo(said);
        assertThat(feature.part()).isEqualTo(part);
        assertThat(Feature.parse(feature.word())).isEqualTo(feature);
    }

    /** No word of one kind can be taken for another's, whatever its id: also an id that is another kind's word. */
    @ParameterizedTest
    @EnumSource
    void every_kind_reads_its_own_words(FeatureKind kind) {
        if (kind.many()) {
            for (FeatureKind other : FeatureKind.values()) {
                String id = kind == FeatureKind.UNKNOWN ? "x" + other.word() : "a-" + other.word() + "-1";
                assertThat(Feature.parse(Feature.of(kind, id).word())).isEqualTo(Feature.of(kind, id));
            }
            if (kind != FeatureKind.UNKNOWN) {
                assertThatThrownBy(() -> Feature.of(kind)).hasMessageContaining("no feature's name");
            }
        } else {
            assertThat(Feature.parse(kind.word())).isEqualTo(Feature.of(kind));
            assertThatThrownBy(() -> Feature.of(kind, "second")).hasMessageContaining("no feature's name");
        }
    }

    @Test
    void a_word_without_its_id_is_nobodys() {
        assertThat(Feature.parse("pickup").kind()).isEqualTo(FeatureKind.UNKNOWN);
        assertThat(Feature.parse("pickup-").kind()).isEqualTo(FeatureKind.UNKNOWN);
        assertThat(Feature.parse("neck-heel").kind()).isEqualTo(FeatureKind.UNKNOWN);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "Neck", "neck pocket", "neck:rout", "näck", "a/b"})
    void what_is_no_word_is_refused(String word) {
        assertThatThrownBy(() -> Feature.parse(word)).hasMessage("“" + word + "” is no feature's name");
    }

    /** A design may mention anything up to now; what is no word names nothing, and is kept as it was written. */
    @Test
    void a_design_may_mention_what_is_not_there() {
        assertThat(Feature.mentioned("The Pickup").word()).isEqualTo("The Pickup");
        assertThat(Feature.mentioned("cover")).isEqualTo(Feature.parse("cover"));
        for (String odd : List.of("", "pickup-Neck", "control-\u20ac", "Neck", "hole-" + "x".repeat(80))) {
            assertThat(Feature.mentioned(odd).kind()).as(odd).isEqualTo(FeatureKind.UNKNOWN);
            assertThat(Feature.mentioned(odd).word()).isEqualTo(odd);
        }
        assertThatThrownBy(() -> Feature.of(FeatureKind.UNKNOWN, "cover")).hasMessageContaining("no feature's name");
    }

    /** What comes with another thing moves with it; what a body has many of comes with the one of its own id. */
    @Test
    void a_feature_knows_what_it_comes_with() {
        assertThat(Feature.parse("cover").owner().word()).isEqualTo("controls");
        assertThat(Feature.parse("recess-switch").owner().word()).isEqualTo("cavity-switch");
        assertThat(Feature.parse("bridge-studs").owner().word()).isEqualTo("bridge");
        assertThat(Feature.parse("legs-middle").owner().word()).isEqualTo("pickup-middle");
        assertThat(Feature.parse("step-blade").owner().word()).isEqualTo("control-blade");
        assertThat(Feature.parse("jack").owner().word()).isEqualTo("jack");
    }

    /** Wood is told between voids; a carve shapes a face, and work on the whole body leaves no wall. */
    @Test
    void only_what_is_cut_into_the_body_is_a_void() {
        assertThat(FeatureKind.values())
                .filteredOn(k -> k.role() != Role.VOID)
                .extracting(FeatureKind::word)
                .containsExactlyInAnyOrder(
                        "front",
                        "back",
                        "edge",
                        "blank",
                        "thickness",
                        "outline",
                        "sanding",
                        "new-cap",
                        "contour",
                        "rounding",
                        "binding",
                        "repair");
        assertThat(Feature.EDGE.isFace()).isTrue();
        assertThat(Feature.parse("outline").isFace()).isFalse();
        assertThat(Feature.parse("contour-top").isVoid()).isFalse();
        assertThat(Feature.parse("neck").isVoid()).isTrue();
    }
}
