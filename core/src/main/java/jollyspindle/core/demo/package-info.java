/**
 * The demo job: a made-up quilt for trying things out.
 *
 * <p>Belongs here: invented data. Doesn't: anything a real job depends on.
 */
package jollyspindle.core.demo;
