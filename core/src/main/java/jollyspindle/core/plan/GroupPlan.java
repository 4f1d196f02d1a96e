package jollyspindle.core.plan;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.RunSet;
import jollyspindle.core.quilt.GroupId;

import java.util.List;

/**
 * How runs that belong together come out.
 *
 * @param id which runs
 * @param set what was to be divided, and what it was judged by
 * @param candidates best first, never empty
 * @param chosen the one the runs follow, one of the candidates
 */
public record GroupPlan(GroupId id, RunSet set, List<Candidate> candidates, Candidate chosen) {}
