package nexa.desktop.session;

import java.util.Optional;
import java.util.function.UnaryOperator;
import nexa.core.series.Begun;
import nexa.core.series.Done;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;

/** An edit and the state it leads to. */
record Changed(Edit edit, Shoot shoot) {

    /** What a change comes to, with all that goes along with it. */
    static Changed by(Edit.Kind kind, String where, Shoot before, UnaryOperator<Shoot> change) {
        return between(kind, where, before, Begun.after(before, Done.after(before, change.apply(before))));
    }

    static Changed between(Edit.Kind kind, String where, Shoot before, Shoot after) {
        return new Changed(Edit.between(kind, Optional.of(where), before, after), after);
    }
}
