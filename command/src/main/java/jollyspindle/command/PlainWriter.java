package jollyspindle.command;

import java.io.FilterWriter;
import java.io.IOException;
import java.io.Writer;

/**
 * Writes text as text. Names in files come from anywhere, and a terminal takes control characters in them for orders; these
 * come out as �.
 */
final class PlainWriter extends FilterWriter {

    PlainWriter(Writer out) {
        super(out);
    }

    @Override
    public void write(int c) throws IOException {
        out.write(plain((char) c));
    }

    @Override
    public void write(char[] text, int from, int length) throws IOException {
        char[] plain = new char[length];
        for (int i = 0; i < length; i++) {
            plain[i] = plain(text[from + i]);
        }
        out.write(plain, 0, length);
    }

    @Override
    public void write(String text, int from, int length) throws IOException {
        write(text.toCharArray(), from, length);
    }

    private static char plain(char c) {
        boolean layout = c == '\n' || c == '\r' || c == '\t';
        return Character.isISOControl(c) && !layout ? '\ufffd' : c;
    }
}
