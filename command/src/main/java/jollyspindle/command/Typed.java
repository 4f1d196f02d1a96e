package jollyspindle.command;

import jollyspindle.core.measure.LengthParser;
import jollyspindle.core.measure.LengthReading;
import jollyspindle.core.measure.TapeScale;
import picocli.CommandLine;
import picocli.CommandLine.Model.CommandSpec;

/** Lengths typed as options. */
final class Typed {

    private Typed() {}

    /**
     * Reads a length over 0.
     *
     * @param option it was typed for
     * @param most it may be, in inches
     * @return inches
     * @throws CommandLine.ParameterException if it is none
     */
    static double length(CommandSpec spec, String option, String text, TapeScale tape, double most) {
        return read(spec, option, text, tape, most, false);
    }

    /** Reads a length that may be 0. */
    static double lengthOrZero(CommandSpec spec, String option, String text, TapeScale tape, double most) {
        return read(spec, option, text, tape, most, true);
    }

    private static double read(
            CommandSpec spec, String option, String text, TapeScale tape, double most, boolean orZero) {
        LengthReading reading = LengthParser.parse(text, tape);
        if (reading instanceof LengthReading.Refused refused) {
            throw new CommandLine.ParameterException(spec.commandLine(), option + ": " + refused.message());
        }
        double inches = ((LengthReading.Understood) reading).inches();
        if (inches < 0 || inches == 0 && !orZero || inches > most) {
            throw new CommandLine.ParameterException(
                    spec.commandLine(),
                    Said.say(
                            "length.range",
                            "option",
                            option,
                            "typed",
                            text,
                            "length",
                            tape.read(inches).text(),
                            "zero",
                            orZero,
                            "most",
                            tape.read(most).text()));
        }
        return inches;
    }
}
