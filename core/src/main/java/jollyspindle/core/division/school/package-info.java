/** The ways to make a run come out, a file a school; {@link jollyspindle.core.division.school.SchoolTypes} lists them. */
package jollyspindle.core.division.school;
