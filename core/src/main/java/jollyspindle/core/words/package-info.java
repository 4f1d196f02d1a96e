/**
 * Says plans in the quilter's words, with lengths as the quilter's tape shows them.
 *
 * <p>Belongs here: wording that screen, paper and command line share. Doesn't: deciding what is said.
 */
package jollyspindle.core.words;
