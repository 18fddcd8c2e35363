package ebauche.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Where the faces are, over every order of sanding and measuring. */
@Tag("slow")
class FinishedFacesTest {
    private static FinishedFaces faces(TestBody body) {
        return body.build().faces();
    }

    @Test
    void an_untouched_body_finishes_at_its_wanted_thickness() {
        FinishedFaces faces = faces(new TestBody());
        assertThat(faces.thickness()).isEqualTo(44.5, within(1e-9));
        assertThat(faces.frontNow()).isZero();
        assertThat(faces.toSand(Face.FRONT)).isEqualTo(0.3, within(1e-9));
        assertThat(faces.toSand(Face.BACK)).isEqualTo(0.3, within(1e-9));
    }

    @Test
    void a_measured_thickness_moves_the_back_and_not_the_front() {
        FinishedFaces faces = faces(new TestBody().read("body-thickness", 44.8));
        assertThat(faces.frontNow()).isZero();
        assertThat(faces.thickness()).isEqualTo(44.8 - 0.6, within(1e-9));
    }

    @Test
    void a_thickness_measured_after_sanding_already_knows_of_it() {
        TestBody before = new TestBody().read("sanded-off:front", 0.5).read("body-thickness", 44.6);
        TestBody after = new TestBody().read("body-thickness", 44.6).read("sanded-off:front", 0.5);
        assertThat(faces(before).thickness()).isEqualTo(44.6 - 0.6, within(1e-9));
        assertThat(faces(after).thickness()).isEqualTo(44.6 - 0.5 - 0.6, within(1e-9));
    }

    @Test
    void a_finish_sanding_that_is_done_takes_its_allowance_once() {
        TestBody body = new TestBody().doneUpTo("sanding:back");
        FinishedFaces faces = faces(body);
        assertThat(faces.toSand(Face.BACK)).isZero();
        assertThat(faces.thickness()).isEqualTo(44.5, within(1e-9));
        body.read("sanded-off:back", 0.5, "sanding:back");
        assertThat(faces(body).thickness()).isEqualTo(44.5 - 0.2, within(1e-9));
    }

    /** The bench's own order of buttons: the reading first, then "done". */
    @Test
    void sanding_that_is_read_before_it_is_called_done_counts_once() {
        for (Face face : Face.values()) {
            String step = FinishedFaces.finish(face).written();
            String measures = "sanded-off:" + face.word();
            TestBody planned = new TestBody().doneUpTo(step);
            TestBody body = new TestBody().doneUpTo(step);
            body.timeline.remove(body.timeline.size() - 1);
            body.read(measures, 0.3, step);
            assertThat(faces(body).toSand(face)).as("still to sand").isZero();
            assertThat(body.figure(step)).as("figure on the card").isEqualTo(0, within(1e-9));
            body.done(step);
            assertThat(faces(body)).isEqualTo(faces(planned));
            assertThat(body.plan().history().finished().balance().grams())
                    .isEqualTo(planned.plan().history().finished().balance().grams(), within(1e-6));
            assertThat(body.rules()).isEqualTo(planned.rules());
        }
    }

    @Test
    void part_of_the_allowance_that_was_read_leaves_the_rest_and_more_of_it_leaves_none() {
        TestBody body = new TestBody().doneUpTo("outline:finish").read("sanded-off:front", 0.2, "sanding:front");
        assertThat(faces(body).toSand(Face.FRONT)).isEqualTo(0.1, within(1e-9));
        assertThat(body.figure("sanding:front")).isEqualTo(0.1, within(1e-9));
        assertThat(faces(body).thickness()).isEqualTo(44.5, within(1e-9));
        body.read("sanded-off:front", 0.25, "sanding:front");
        assertThat(faces(body).toSand(Face.FRONT)).isZero();
        assertThat(faces(body).thickness()).isEqualTo(44.5 - 0.15, within(1e-9));
    }

    /** What came off is what was read, whether less or more than the allowance, and the wood that is weighed has lost as much. */
    @Test
    void the_wood_lies_where_the_readings_say_the_faces_are() {
        for (double front : new double[] {0, 0.1, 0.45}) {
            for (double thick : new double[] {44.8, 45.1, 45.35}) {
                TestBody body =
                        new TestBody().doneUpTo("thickness:front").read("body-thickness", thick, "thickness:back");
                body.doneUpTo("sanding:front").read("sanded-off:front", front, "sanding:front");
                double[] solid = body.plan().history().finished().intervalsAt(-120, 0);
                FinishedFaces faces = faces(body);
                assertThat(faces.frontFinished()).isEqualTo(front, within(1e-9));
                assertThat(solid).hasSize(2);
                assertThat(solid[0]).as("front").isEqualTo(faces.frontFinished(), within(1e-5));
                assertThat(solid[1]).as("back").isEqualTo(faces.backFinished(), within(1e-5));
            }
        }
    }

    /** A thickness that was never read is known from the step that is done: a thinner design afterwards takes no wood away. */
    @Test
    void a_body_that_is_thicknessed_keeps_its_thickness_when_the_design_is_made_thinner() {
        TestBody body = new TestBody().doneUpTo("thickness:back");
        body.thickness = 40;
        assertThat(faces(body).thickness()).isEqualTo(44.5, within(1e-9));
        assertThat(body.rules()).contains("thicker-than-wanted");
        body.thickness = 44.5;
        assertThat(body.rules()).doesNotContain("thicker-than-wanted", "thinner-than-wanted");
    }

    /** Property: front and back sink by what came off them, whatever the order, and depths convert there and back. */
    @Test
    void random_sandings_add_up() {
        Random random = new Random(17);
        for (int i = 0; i < 100; i++) {
            TestBody body = new TestBody();
            double front = 0;
            double back = 0;
            for (int k = random.nextInt(6); k > 0; k--) {
                double off = random.nextDouble() * 0.5;
                if (random.nextBoolean()) {
                    body.read("sanded-off:front", off);
                    front += off;
                } else {
                    body.read("sanded-off:back", off);
                    back += off;
                }
            }
            FinishedFaces faces = faces(body);
            assertThat(faces.frontNow()).isEqualTo(front, within(1e-9));
            assertThat(faces.backNow()).isEqualTo(45.1 - back, within(1e-9));
            for (Face face : Face.values()) {
                double plane = faces.planeUnderFinished(face, 10);
                assertThat(faces.fromFaceFinished(face, plane)).isEqualTo(10, within(1e-9));
                assertThat(faces.fromFaceNow(face, plane)).isEqualTo(10 + faces.toSand(face), within(1e-9));
            }
        }
    }

    @Test
    void a_measured_floor_comes_nearer_as_its_face_is_sanded() {
        TestBody body = new TestBody().read("depth:pickup-neck", 19.3);
        assertThat(body.build()
                        .measuredFloor(Feature.parse("pickup-neck"), Face.FRONT)
                        .orElseThrow()
                        .plane())
                .isEqualTo(19.3, within(1e-9));
        body.read("sanded-off:front", 0.4);
        FinishedFaces.MeasuredFloor floor = body.build()
                .measuredFloor(Feature.parse("pickup-neck"), Face.FRONT)
                .orElseThrow();
        assertThat(floor.sandedSince()).isEqualTo(0.4, within(1e-9));
        assertThat(floor.plane()).as("the floor itself does not move").isEqualTo(19.3, within(1e-9));
    }
}
