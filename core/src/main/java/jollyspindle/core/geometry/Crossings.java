package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;

import java.util.ArrayList;
import java.util.List;

/** Where two curves meet, exactly. Curves that run on each other meet where one of them ends. */
public final class Crossings {

    /**
     * A place where two curves meet.
     *
     * @param onFirst how far along the first, from 0 to 1
     * @param onSecond how far along the second, from 0 to 1
     */
    public record Crossing(double onFirst, double onSecond) {}

    private Crossings() {}

    /** All places where two curves meet, touching included, in no particular order. */
    public static List<Crossing> of(Curve a, Curve b) {
        if (!a.box().grown(Tolerances.ROUNDING).meets(b.box())) {
            return List.of();
        }
        List<Point> places = new ArrayList<>();
        if (a instanceof Segment s && b instanceof Segment t) {
            lines(s, t, places);
        } else if (a instanceof Segment s && b instanceof Arc c) {
            lineAndCircle(s, c, places);
        } else if (a instanceof Arc c && b instanceof Segment s) {
            lineAndCircle(s, c, places);
        } else if (a instanceof Arc c && b instanceof Arc d) {
            circles(c, d, places);
        }
        places.add(a.start());
        places.add(a.end());
        places.add(b.start());
        places.add(b.end());
        List<Crossing> found = new ArrayList<>();
        for (Point p : places) {
            double onA = a.nearest(p);
            double onB = b.nearest(p);
            if (a.at(onA).distance(p) <= Tolerances.ROUNDING
                    && b.at(onB).distance(p) <= Tolerances.ROUNDING
                    && isNew(found, a, p)) {
                found.add(new Crossing(onA, onB));
            }
        }
        return found;
    }

    private static boolean isNew(List<Crossing> found, Curve a, Point p) {
        return found.stream().noneMatch(c -> a.at(c.onFirst()).distance(p) <= Tolerances.ROUNDING);
    }

    private static void lines(Segment s, Segment t, List<Point> places) {
        Point u = s.to().minus(s.from());
        Point v = t.to().minus(t.from());
        double cross = u.cross(v);
        if (Math.abs(cross) > 1e-14 * Math.max(1, s.length() * t.length())) {
            places.add(s.from().plus(u.times(t.from().minus(s.from()).cross(v) / cross)));
        }
    }

    private static void lineAndCircle(Segment s, Arc c, List<Point> places) {
        if (s.length() == 0) {
            return;
        }
        Point u = s.direction(0);
        double foot = c.centre().minus(s.from()).dot(u);
        Point nearest = s.from().plus(u.times(foot));
        double off = nearest.distance(c.centre());
        double half = Math.sqrt(Math.max(0, (c.radius() - off) * (c.radius() + off)));
        places.add(nearest.plus(u.times(half)));
        places.add(nearest.minus(u.times(half)));
        // A line that just touches may miss the circle by rounding.
        places.add(nearest);
    }

    private static void circles(Arc one, Arc other, List<Point> places) {
        // Reckoned from the smaller circle: from a very large one, rounding would carry places off both.
        Arc c = one.radius() <= other.radius() ? one : other;
        Arc d = c == one ? other : one;
        double between = c.centre().distance(d.centre());
        if (between < Tolerances.ROUNDING) {
            return;
        }
        Point u = d.centre().minus(c.centre()).times(1 / between);
        double along = ((between - d.radius()) * (between + d.radius()) + c.radius() * c.radius()) / (2 * between);
        double half = Math.sqrt(Math.max(0, (c.radius() - along) * (c.radius() + along)));
        Point foot = c.centre().plus(u.times(along));
        places.add(foot.plus(u.turnedLeft().times(half)));
        places.add(foot.minus(u.turnedLeft().times(half)));
        places.add(c.centre().plus(u.times(c.radius())));
        places.add(c.centre().minus(u.times(c.radius())));
    }
}
