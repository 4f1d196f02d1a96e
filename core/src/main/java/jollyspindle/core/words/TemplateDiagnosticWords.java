package jollyspindle.core.words;

import jollyspindle.core.shelf.TemplateDiagnostic;

/**
 * Says what is the matter with a template.
 *
 * @param words for lengths
 */
public record TemplateDiagnosticWords(Words words) {

    /** What is the matter with a template, and what to do. */
    public String text(TemplateDiagnostic diagnostic) {
        return new Texts(words).text(diagnostic);
    }
}
