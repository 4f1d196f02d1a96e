/**
 * From {@code QuiltJob} to {@code WorkPlan}: everything decided in, everything computed out.
 *
 * <p>Belongs here: the two values and what joins the other packages. Doesn't: the computing itself.
 */
package jollyspindle.core.plan;
