package jollyspindle.core.words;

import jollyspindle.core.diagnostic.Diagnostic;

/**
 * Says what is the matter with a motif, an area or a template.
 *
 * @param words for lengths
 */
public record DiagnosticWords(Words words) {

    /** What is the matter, and what to do, in a sentence or two. */
    public String text(Diagnostic diagnostic) {
        return new Texts(words).text(diagnostic);
    }
}
