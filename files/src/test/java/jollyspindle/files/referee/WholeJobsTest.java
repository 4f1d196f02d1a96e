package jollyspindle.files.referee;

import jollyspindle.core.area.AreaArrangement;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.motif.Arrangement;
import jollyspindle.core.plan.Gallery;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.planjson.PlanJson;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/**
 * Whole jobs as quilters do them, put together from what galleries offer: nothing is in the way, they are told so that they can be
 * done, with as few starts as can be, and they are the same once they are saved and opened again.
 */
class WholeJobsTest {

    private static final Area LEAF = new Area.Applique(new Area.Ellipse(new Point(1, 2), 9, 6, 0.4), 0);

    /** Common practice, no source, for what belongs to each. */
    enum Job {
        /** Each fabric its own shells; the seam allowance is kept free where blocks lie at the quilt's edge. */
        SHELLS_BY_FABRIC {
            @Override
            QuiltJob on(QuiltJob quilt) {
                List<AreaDesign.Part> parts = Stream.of(1.0 / 3, 1.0, 1.5, 3.0)
                        .map(width ->
                                new AreaMotif.Clamshells(0.25, OptionalDouble.of(width), width >= 1, false, width < 1))
                        .map(Job::part)
                        .toList();
                return with(quilt, new AreaDesign(parts, List.of()).inTurn(), new Area.Blocks(4, 2, 6, 6, 0));
            }
        },
        /** In a straight channel, in a curved one, on a vine and beside lines; with half circles, triangles and swirls by hand. */
        CIRCLES_IN_CHANNELS {
            @Override
            QuiltJob on(QuiltJob quilt) {
                List<String> codes = List.of(
                        "swirls-in-circles", "circles-in-arcs", "berries-beside-arcs", "half-circles-and-triangles");
                return bordered(quilt, "circles-on-a-vine", codes, 7);
            }
        },
        ARMS_THAT_REACH {
            @Override
            QuiltJob on(QuiltJob quilt) {
                return gallery(quilt, "arms-along-the-edge-crossed", new Area.Blocks(2, 2, 8, 8, 0));
            }
        },
        ARMS_AN_INCH_SHORT {
            @Override
            QuiltJob on(QuiltJob quilt) {
                return gallery(quilt, "arms-along-the-edge-crossed", new Area.Blocks(2, 2, 9, 9, 0));
            }
        },
        FLOATING_ARMS {
            @Override
            QuiltJob on(QuiltJob quilt) {
                return gallery(quilt, "floating-arms", new Area.Medallion(14));
            }
        },
        /** Shells hang round an appliqué, a line beside the seam; egg and dart, two sizes and hatched lenses in sashing. */
        SHELLS_ROUND_AN_APPLIQUE {
            @Override
            QuiltJob on(QuiltJob quilt) {
                QuiltJob sashed = bordered(
                        sized(quilt, 42, 40),
                        "waves-on-both-edges",
                        List.of("egg-and-dart-and-lines", "hatched-lenses", "crossing-half-circles"),
                        4.5);
                return gallery(sashed, "shells-hanging-and-a-line", new Area.Body(0), LEAF);
            }
        },
        /** From a centre, and along both edges of a border. */
        SIXTEEN_WAVES {
            @Override
            QuiltJob on(QuiltJob quilt) {
                return gallery(
                        bordered(quilt, "waves-on-both-edges", List.of(), 7), "sixteen-waves", new Area.Medallion(12));
            }
        },
        /** From a corner, into an appliqué's edge. */
        WAVES_INTO_AN_APPLIQUE {
            @Override
            QuiltJob on(QuiltJob quilt) {
                return gallery(quilt, "sixteen-waves-from-a-corner", new Area.Blocks(1, 1, 9, 9, 0), LEAF);
            }
        },
        RAYS_ON_A_DIAGONAL {
            @Override
            QuiltJob on(QuiltJob quilt) {
                return gallery(quilt, "rays-on-the-diagonal", new Area.Blocks(3, 3, 9, 6, 0));
            }
        },
        RINGS_OF_TWO_SETS {
            @Override
            QuiltJob on(QuiltJob quilt) {
                return gallery(quilt, "rings-of-two-sets", new Area.Medallion(16));
            }
        },
        RINGS_THAT_OVERLAP {
            @Override
            QuiltJob on(QuiltJob quilt) {
                return gallery(quilt, "rings-that-overlap", new Area.Medallion(16));
            }
        },
        WREATH_IN_RINGS {
            @Override
            QuiltJob on(QuiltJob quilt) {
                return gallery(quilt, "wreath-in-rings", new Area.Medallion(16));
            }
        },
        RINGS_ROUND_AN_APPLIQUE {
            @Override
            QuiltJob on(QuiltJob quilt) {
                Area round = new Area.Applique(new Area.Ellipse(Point.ORIGIN, 3, 3, 0), 0);
                return gallery(quilt, "rings-of-two-sets", new Area.Medallion(14), round);
            }
        },
        /** Its squares' seams are its marks; the smaller petals stand between. */
        PIECED_PEEL {
            @Override
            QuiltJob on(QuiltJob quilt) {
                return gallery(quilt, "pieced-peel", new Area.Blocks(2, 1, 12, 12, 0));
            }
        },
        QUARTERS {
            @Override
            QuiltJob on(QuiltJob quilt) {
                return gallery(quilt, "quarters-each-its-own", new Area.Blocks(2, 2, 6, 6, 0));
            }
        },
        /** A V with dense lines on either side beside a whirl by the ruler's line. */
        V_AND_WHIRL {
            @Override
            QuiltJob on(QuiltJob quilt) {
                List<AreaDesign.Part> parts = Stream.of(
                                new AreaMotif.Vee(1.0 / 16, 0.25), new AreaMotif.Whirl(3, 0.5, 8))
                        .map(Job::part)
                        .toList();
                return with(quilt, new AreaDesign(parts, List.of()).inTurn(), new Area.Blocks(2, 2, 7.5, 7.5, 0));
            }
        };

        abstract QuiltJob on(QuiltJob quilt);

        private static AreaDesign.Part part(AreaMotif motif) {
            return new AreaDesign.Part(List.of(new AreaDesign.Layer(motif, Optional.empty())));
        }

        private static QuiltJob with(QuiltJob quilt, AreaDesign design, Area... areas) {
            return quilt.withQuilt(quilt.quilt().withAreas(List.of(areas))).with(new AreaId(1), design);
        }

        private static QuiltJob sized(QuiltJob job, double width, double height) {
            Quilt quilt = job.quilt();
            for (Side side : Side.values()) {
                quilt = quilt.with(Dimension.body(side), side.ordinal() % 2 == 0 ? width : height);
            }
            return job.withQuilt(quilt);
        }

        private static QuiltJob gallery(QuiltJob quilt, String code, Area... areas) {
            return with(quilt, arrangement(code, areas[0]), areas);
        }

        private static AreaDesign arrangement(String code, Area area) {
            return Stream.concat(AreaArrangement.of(area).stream(), AreaArrangement.of(new Area.Body(0)).stream())
                    .filter(one -> one.code().equals(code))
                    .findFirst()
                    .orElseThrow()
                    .design();
        }

        /** One of the gallery's on the border, others on strips side by side. */
        private static QuiltJob bordered(QuiltJob quilt, String border, List<String> strips, double width) {
            List<Strip> lanes = IntStream.range(0, strips.size())
                    .mapToObj(i -> {
                        int pair = i / 2;
                        double away = 9 + pair * (width + 1) + width / 2;
                        return new Strip(
                                "Lane " + (i + 1),
                                Strip.Kind.SASHING,
                                new Point(-20, i % 2 == 0 ? away : -away),
                                0,
                                40,
                                width,
                                OptionalDouble.empty());
                    })
                    .toList();
            QuiltJob laid = adopted(quilt.withQuilt(quilt.quilt().withStrips(lanes)), RunId.of(Side.TOP), border);
            for (int i = 0; i < strips.size(); i++) {
                laid = adopted(laid, RunId.strip(i + 1), strips.get(i));
            }
            return laid;
        }

        private static QuiltJob adopted(QuiltJob job, RunId run, String code) {
            Arrangement arrangement = Arrangement.all().stream()
                    .filter(one -> one.code().equals(code))
                    .findFirst()
                    .orElseThrow();
            return job.editing(run.group(), layout -> Gallery.adopted(job, layout, run, arrangement));
        }
    }

    private static QuiltJob quilt(double foot) {
        Quilt quilt = Quilt.unmeasured().with(Corners.MITRED);
        double[] sides = {61.5, 73.25, 61.625, 73.125};
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), sides[side.ordinal()]).with(Dimension.depth(side), 8);
        }
        return DemoJob.heronWeir()
                .withTemplates(StarterShelf.templates())
                .withQuilt(quilt)
                .withMachine(new Machine(foot));
    }

    @ParameterizedTest
    @EnumSource(Job.class)
    void itCanBeDoneAsItIsTold(Job what) throws Exception {
        for (double foot : new double[] {0.2375, 0.245, 0.25, 0.262, 0.3}) {
            QuiltJob job = what.on(quilt(foot));
            WorkPlan plan = Planner.plan(job);
            String json = PlanJson.format(plan);
            List<Referee.Complaint> complaints = new ArrayList<>(Referee.judge(ToldPlan.read(json), job.templates()));
            ToldPlan.areas(json).forEach(piece -> complaints.addAll(Referee.judge(piece, job.templates())));
            ToldPlan.joined(json)
                    .forEach(area ->
                            complaints.addAll(ThreadReferee.between(area.pieces(), area.all(), area.letters())));
            assertThat(complaints).as("foot %s", foot).isEmpty();
            assertThat(plan.areas()).allSatisfy(area -> assertThat(area.placements())
                    .hasSameSizeAs(area.placements().stream().distinct().toList()));
            QuiltJob again =
                    JobFile.parse(JobFile.format(job, UnknownFields.none())).job();
            assertThat(PlanJson.format(Planner.plan(again))).isEqualTo(json);
        }
    }

    @ParameterizedTest
    @EnumSource(Job.class)
    void itIsTheSameOnceItIsOpenedAgain(Job what) throws Exception {
        QuiltJob job = what.on(quilt(0.25));
        QuiltJob again =
                JobFile.parse(JobFile.format(job, UnknownFields.none())).job();
        assertThat(PlanJson.format(Planner.plan(again))).isEqualTo(PlanJson.format(Planner.plan(job)));
    }
}
