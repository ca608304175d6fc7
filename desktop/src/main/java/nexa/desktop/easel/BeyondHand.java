package nexa.desktop.easel;

import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.message.Rejected;
import nexa.core.series.PhotoCrop;
import nexa.core.series.Reach;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Colour;
import nexa.core.shoot.Edit;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;

/** Lets the crop worked on reach beyond its photo, and fills what lies there. */
final class BeyondHand implements BeyondBar.Actions {
    private final ShootSession session;
    private final StageHand hand;
    private final Consumer<String> messages;
    private final BeyondBar bar = new BeyondBar(this);

    /** @param messages hears what the photographer is to be told */
    BeyondHand(ShootSession session, StageHand hand, Consumer<String> messages) {
        this.session = session;
        this.hand = hand;
        this.messages = messages;
    }

    BeyondBar bar() {
        return bar;
    }

    /** Lets the crop reach beyond its photo, or keeps it inside again. */
    void toggle() {
        hand.gestures().finish();
        session.crop().ifPresent(crop -> {
            boolean may = !crop.photo().mayReach(crop.format());
            session.edit(
                    Edit.Kind.REACH,
                    shoot -> Reach.let(shoot, crop.photo().file(), crop.format().id(), may));
        });
    }

    @Override
    public void fill(Beyond beyond) {
        hand.gestures().finish();
        session.crop()
                .ifPresent(crop -> session.edit(
                        Edit.Kind.FILL,
                        shoot -> Reach.fill(
                                shoot, crop.photo().file(), crop.format().id(), beyond)));
    }

    @Override
    public void typed(Beyond beyond, String colour) {
        try {
            fill(beyond.withColour(Optional.of(Colour.parse(colour.strip()))));
        } catch (Rejected e) {
            messages.accept(Words.wrong(e));
        }
        session.crop().ifPresent(bar::show);
    }

    /** Shows how a crop reaches beyond its photo. */
    void show(PhotoCrop crop) {
        bar.show(crop);
    }

    void clear() {
        bar.setVisible(false);
    }
}
