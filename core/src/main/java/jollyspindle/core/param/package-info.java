/**
 * What can be chosen about a thing, said once: by which name files keep it, in which range it lies, what holds where nothing is
 * said. Files, schemas and forms are made of it.
 */
package jollyspindle.core.param;
