package nexa.desktop.tool.guide;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.core.format.Format;
import nexa.core.format.Paper;
import nexa.core.guide.Guide;
import nexa.core.guide.GuideKind;
import nexa.core.guide.Way;
import nexa.core.message.EnumName;
import nexa.core.series.PhotoCrop;
import nexa.desktop.desk.DeskPart;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Subscriptions;
import nexa.desktop.picture.GuideLayer;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.MatKind;
import nexa.desktop.stage.PhotoStage;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;
import nexa.desktop.tool.PhotoGestures;

/** What the photographer has chosen to see over and around the picture: guides, mat, surround. */
public final class GuideTool implements EaselTool {
    private static final int FINE_LINES = 17;

    private final Easel easel;
    private final PhotoStage stage;
    private final EaselSettings settings;
    private final GuideSection section;
    private final AroundSection around;
    private final Subscriptions subscriptions = new Subscriptions();
    private boolean isBare;

    public GuideTool(Easel easel, EaselSettings settings) {
        this.easel = easel;
        this.stage = easel.stage();
        this.settings = settings;
        this.section = new GuideSection(settings, () -> easel.session().shoot().formats());
        this.around = new AroundSection(settings);
        for (ObservableValue<?> of : List.of(
                settings.guide(),
                settings.second(),
                settings.show(),
                settings.gridLines(),
                settings.papers(),
                settings.notOutlined(),
                settings.waysProperty())) {
            subscriptions.listen(of, this::showGuides);
        }
        subscriptions.listen(settings.mat(), this::showMat);
        subscriptions.listen(settings.strength(), this::showMat);
        subscriptions.listen(settings.surround(), this::showSurround);
        subscriptions.listen(settings.holdsPhoto(), this::holdPhoto);
        stage.setHoldsPhoto(settings.holdsPhoto().get());
        showMat();
        showGuides();
        showSurround();
    }

    /** Its part of the desk. */
    public DeskPart part() {
        return section.part();
    }

    /** How the easel looks and holds, for the foot of the formats. */
    public Node around() {
        return around.node();
    }

    @Override
    public void show(PhotoCrop crop) {
        showGuides();
    }

    @Override
    public void clear() {
        showGuides();
    }

    @Override
    public boolean pressed(KeyEvent key) {
        switch (key.getCode()) {
            case M -> settings.mat().set(settings.mat().get().next());
            case V -> settings.show().set(settings.show().get().next());
            case G -> settings.step(key.isShiftDown() ? -1 : 1);
            case T -> settings.turn();
            case Q -> settings.holdsPhoto().set(!settings.holdsPhoto().get());
            case B -> showBare(true);
            default -> {
                return false;
            }
        }
        return true;
    }

    @Override
    public boolean released(KeyEvent key) {
        boolean isMeant = key.getCode() == KeyCode.B;
        if (isMeant) {
            showBare(false);
        }
        return isMeant;
    }

    private void holdPhoto() {
        easel.gestures().finish();
        stage.setHoldsPhoto(settings.holdsPhoto().get());
    }

    private void showMat() {
        stage.overlay()
                .setMat(
                        isBare ? MatKind.NONE : settings.mat().get(),
                        settings.strength().get() / 100.0);
    }

    private void showSurround() {
        stage.getStyleClass().removeIf(style -> style.startsWith("surround-"));
        stage.getStyleClass().add("surround-" + EnumName.of(settings.surround().get()));
    }

    /** While the photo turns, a fine grid; else what is chosen, if it is to be seen now. */
    private void showGuides() {
        section.refresh();
        GuideLayer layer = stage.overlay().guides();
        PhotoGestures photo = easel.gestures().photo();
        boolean isTurning = photo.isTurning() || photo.isReshaping();
        layer.setFine(isTurning);
        if (isTurning) {
            layer.show(List.of(GuideKind.GRID.laid(Way.UNTURNED, FINE_LINES)), List.of());
            return;
        }
        GuideShow show = settings.show().get();
        boolean isSeen = show == GuideShow.STEADY
                || show == GuideShow.MOVING && easel.gestures().isBusy();
        List<Guide> guides = isSeen ? settings.guides() : List.of();
        boolean hasOutlines = isSeen && settings.isShown(GuideKind.OUTLINES);
        layer.show(guides, hasOutlines ? outlines() : List.of());
    }

    /** The shoot's other formats, and the papers chosen. */
    private List<GuideLayer.Outline> outlines() {
        List<GuideLayer.Outline> outlines = new ArrayList<>();
        ShootSession session = easel.session();
        for (Format format : session.shoot().formats()) {
            if (format.ratio().isFixed()
                    && settings.isOutlined(format.id())
                    && !format.id().equals(session.formatProperty().get())) {
                outlines.add(new GuideLayer.Outline(
                        format.name(),
                        format.ratio().value(),
                        () -> session.formatProperty().set(format.id())));
            }
        }
        settings.papers().get().stream()
                .sorted()
                .map(Paper.COMMON::get)
                .forEach(paper ->
                        outlines.add(new GuideLayer.Outline(FormatWords.paper(paper), paper.ratio(), () -> {})));
        return outlines;
    }

    /** Nothing but the crop, on the surround; or everything again. */
    private void showBare(boolean bare) {
        isBare = bare;
        stage.overlay().setTools(!bare);
        showMat();
        stage.setBare(bare);
    }

    public void dispose() {
        subscriptions.dispose();
    }
}
