package jollyspindle.desktop.app;

import jollyspindle.core.plan.Moves;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.stream.Collectors;

/** Says on the message bar what a new measurement moved. */
final class MovesTold {

    private static final int MOVES_TOLD = 4;

    private MovesTold() {}

    /** Says what a new measurement moved, once there was something to move. */
    static void tell(Moves moves, Workbench bench, MessageBar messages) {
        if (moves == null || moves.isNothing()) {
            return;
        }
        DivisionWords said = new DivisionWords(bench.words());
        Quilt quilt = bench.job().quilt();
        messages.tell(Said.say(
                "moves",
                "moves",
                moves.runs().stream()
                        .limit(MOVES_TOLD)
                        .map(move -> Words.capital(said.move(move, quilt)) + ".")
                        .collect(Collectors.joining(" ")),
                "more",
                Math.max(0, moves.runs().size() - MOVES_TOLD)));
    }
}
