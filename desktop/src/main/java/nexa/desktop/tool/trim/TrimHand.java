package nexa.desktop.tool.trim;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import javafx.beans.InvalidationListener;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.StackPane;
import nexa.core.find.FoundTrim;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Trim;
import nexa.desktop.parts.FoundWords;
import nexa.desktop.parts.Words;
import nexa.desktop.stage.PhotoStage;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.Offer;
import nexa.desktop.tool.PhotoGestures;
import nexa.desktop.tool.StageMouse;

/**
 * Trims the photo worked on: by the desk's numbers, by handles on the stage that are there while one of either has the focus,
 * or by the border that is found, which is always offered before it is taken.
 */
final class TrimHand {
    private final Easel easel;
    private final PhotoStage stage;
    private final Offer<FoundTrim> offer;
    private final InvalidationListener focus = changed -> showHandles();
    private Collection<? extends Node> fields = List.of();
    private boolean isShown;

    TrimHand(Easel easel) {
        this.easel = easel;
        this.stage = easel.stage();
        this.offer = new Offer<>(FoundTrim.class, easel);
        stage.trim().handles().forEach(this::listenTo);
    }

    /** The handles are there while one of these has the focus, or one of themselves. */
    void belongTo(Collection<? extends Node> newFields) {
        fields = newFields;
        fields.forEach(field -> field.addEventHandler(KeyEvent.KEY_PRESSED, key -> {
            if (key.getCode() == KeyCode.ESCAPE) {
                stage.requestFocus();
            }
        }));
        stage.sceneProperty().addListener((observed, before, now) -> {
            if (before != null) {
                before.focusOwnerProperty().removeListener(focus);
            }
            if (now != null) {
                now.focusOwnerProperty().addListener(focus);
            }
            showHandles();
        });
    }

    private void showHandles() {
        Scene scene = stage.getScene();
        Node owner = scene == null ? null : scene.getFocusOwner();
        boolean isTrimming = owner != null && (fields.contains(owner) || owner.getUserData() instanceof Trim.Side);
        if (isTrimming != isShown) {
            isShown = isTrimming;
            easel.letGo();
            easel.putDown();
            if (isTrimming) {
                easel.withdraw();
            }
            stage.setTrimming(isTrimming);
        }
    }

    private void listenTo(StackPane handle) {
        Trim.Side side = (Trim.Side) handle.getUserData();
        handle.setOnMousePressed(event -> {
            handle.requestFocus();
            event.consume();
        });
        handle.setOnMouseDragged(event -> {
            if (event.getButton() == MouseButton.PRIMARY) {
                drag(side, event);
            }
            event.consume();
        });
        handle.setOnMouseReleased(event -> {
            easel.gestures().finish();
            event.consume();
        });
    }

    private void drag(Trim.Side side, MouseEvent event) {
        stage.projection()
                .ifPresent(projection -> easel.session().photo().ifPresent(photo -> {
                    Point at = photo.space().toStored(projection.toPlane(StageMouse.pointIn(stage, event)));
                    double along = side.isUpright() ? at.x() : at.y();
                    double share = side.isFirst() ? along : 1 - along;
                    photo().trimTo(photo().preparation().trim().with(side, whole(share, side, photo)), true);
                }));
    }

    private PhotoGestures photo() {
        return easel.gestures().photo();
    }

    /** A share that is a whole number of pixels. */
    private static double whole(double share, Trim.Side side, Photo photo) {
        double length = side.length(photo.size());
        return Math.rint(share * length) / length;
    }

    /** Moves a side by pixels of the photo, right and down positive. */
    void move(Trim.Side side, Point pixels) {
        double along = side.isUpright() ? pixels.x() : pixels.y();
        double inwards = side.isFirst() ? along : -along;
        if (inwards != 0) {
            easel.photo().ifPresent(photo -> {
                double step = inwards / side.length(photo.size());
                Trim trim = photo().preparation().trim();
                photo().trimTo(trim.with(side, trim.at(side) + step), false);
            });
        }
    }

    /** A trim was typed, or taken. */
    void trimmed(Trim trim) {
        forget();
        easel.letGo();
        photo().trimTo(trim, false);
        easel.gestures().finish();
    }

    void notALength(String text) {
        easel.tell(Words.get("desk.notALength", text));
    }

    /** Finds the photo's border, or takes the one that is offered. */
    void findBorder() {
        easel.letGo();
        easel.putDown();
        stage.requestFocus();
        Optional<FoundTrim> standing = offer.standing();
        easel.withdraw();
        if (standing.isPresent()) {
            trimmed(standing.get().trim());
        } else {
            easel.photo().ifPresent(photo -> offer.look(photo, Words.get("trim.looking"), found -> hear(photo, found)));
        }
    }

    private void hear(Photo photo, FoundTrim found) {
        Trim now = photo.preparation().trim();
        if (!found.isSomething()) {
            offer.say(Words.get(now.isNone() ? "trim.noBorder" : "trim.noOther"));
        } else if (found.trim().equals(now)) {
            offer.say(Words.get("trim.already"));
        } else {
            String border = FoundWords.border(found.trim(), photo);
            offer.make(photo, found, around(found.trim(), photo), Words.get("trim.offer", border));
        }
    }

    private static List<Segment> around(Trim trim, Photo photo) {
        return Segment.around(new Outline(trim.remaining(photo.size()), Angle.NONE).corners());
    }

    /** What was offered does not stand any more. */
    void forget() {
        offer.forget();
    }
}
