package jollyspindle.desktop.model;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.plan.WorkPlan;

/**
 * A way to come out, seen beside others.
 *
 * @param candidate itself
 * @param plan of the whole quilt if it is followed
 */
public record Way(Candidate candidate, WorkPlan plan) {}
