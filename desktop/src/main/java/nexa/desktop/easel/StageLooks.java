package nexa.desktop.easel;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.value.ObservableValue;
import nexa.core.format.Format;
import nexa.core.format.Paper;
import nexa.core.guide.Guide;
import nexa.core.guide.GuideKind;
import nexa.core.guide.Way;
import nexa.core.message.EnumName;
import nexa.desktop.desk.EaselSettings;
import nexa.desktop.desk.GuideSection;
import nexa.desktop.desk.GuideShow;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Subscriptions;
import nexa.desktop.picture.GuideLayer;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.MatKind;
import nexa.desktop.stage.PhotoStage;

/** What the photographer has chosen to see over and around the picture: guides, mat, surround. */
final class StageLooks {
    private static final int FINE_LINES = 17;

    private final ShootSession session;
    private final EaselSettings settings;
    private final PhotoStage stage;
    private final CropGestures gestures;
    private final GuideSection onDesk;
    private final Subscriptions subscriptions = new Subscriptions();
    private boolean isBare;

    StageLooks(
            ShootSession session,
            EaselSettings settings,
            PhotoStage stage,
            CropGestures gestures,
            GuideSection onDesk) {
        this.session = session;
        this.settings = settings;
        this.stage = stage;
        this.gestures = gestures;
        this.onDesk = onDesk;
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

    private void holdPhoto() {
        gestures.finish();
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
    void showGuides() {
        onDesk.refresh();
        GuideLayer layer = stage.overlay().guides();
        boolean isTurning = gestures.photo().isTurning() || gestures.photo().isReshaping();
        layer.setFine(isTurning);
        if (isTurning) {
            layer.show(List.of(GuideKind.GRID.laid(Way.UNTURNED, FINE_LINES)), List.of());
            return;
        }
        GuideShow show = settings.show().get();
        boolean isSeen = show == GuideShow.STEADY || show == GuideShow.MOVING && gestures.isBusy();
        List<Guide> guides = isSeen ? settings.guides() : List.of();
        boolean hasOutlines = isSeen && settings.isShown(GuideKind.OUTLINES);
        layer.show(guides, hasOutlines ? outlines() : List.of());
    }

    /** The shoot's other formats, and the papers chosen. */
    private List<GuideLayer.Outline> outlines() {
        List<GuideLayer.Outline> outlines = new ArrayList<>();
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
    void showBare(boolean bare) {
        isBare = bare;
        stage.overlay().setTools(!bare);
        showMat();
        stage.setBare(bare);
    }

    void dispose() {
        subscriptions.dispose();
    }
}
