package nexa.desktop.brief;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import nexa.core.format.Brief;
import nexa.core.format.NamePattern;
import nexa.core.series.UseBrief;
import nexa.core.shoot.Edit;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.imaging.work.LatestOnly;
import nexa.store.document.BriefDocument;
import nexa.store.user.KeptBriefs;

/** The briefs that are at hand: uses one on the shoot, takes in and gives out their files, makes one of the shoot. */
public final class BriefPanel extends VBox implements Overlays.Inner {
    private static final double LIST_WIDTH = 190;
    private static final double PAGE_WIDTH = 520;
    private static final double HEIGHT = 380;

    private final ShootSession session;
    private final BriefShelf shelf;
    private final Runnable close;
    private final LatestOnly<BriefShelf.Contents> reading;
    private final VBox list = new VBox(3);
    private final ToggleGroup group = new ToggleGroup();
    private final StackPane place = new StackPane();
    /** The briefs, or one being made. */
    private final StackPane body = new StackPane();

    private final HBox briefs;
    private final Label said = Parts.label("", "small", "look");
    private final Button use = Parts.button("brief.use", this::use, "main-action");
    private final Button give = Parts.smallButton("brief.give", "brief-give", this::give);
    private final Button forget = Parts.smallButton("brief.forget", "brief-forget", this::forget);
    /** Takes back that a brief was forgotten. */
    private final Button again = Parts.button("brief.again", this::keepAgain, "flat", "tiny");

    private final HBox foot;
    private Optional<BriefPage> page = Optional.empty();
    private Optional<KeptBriefs.Kept> chosen = Optional.empty();
    private Optional<Brief> forgotten = Optional.empty();
    /** The name of what is to be chosen once it is read. */
    private Optional<String> wanted;

    /** The names of those that are kept. */
    private Set<String> names = Set.of();

    /** Opens it at a brief, by its name, or at the first. */
    public static void open(ShootSession session, BriefShelf shelf, Overlays overlays, Optional<String> first) {
        overlays.show(new BriefPanel(session, shelf, overlays::close, first));
    }

    private BriefPanel(ShootSession session, BriefShelf shelf, Runnable close, Optional<String> first) {
        this.session = session;
        this.shelf = shelf;
        this.close = close;
        this.wanted = first;
        this.reading = session.background().latest(this::show);
        setSpacing(12);
        use.setId("brief-use");
        said.setWrapText(true);
        said.setMaxWidth(LIST_WIDTH + PAGE_WIDTH);
        said.setId("brief-said");
        said.managedProperty().bind(said.textProperty().isNotEmpty());
        HBox heading = Parts.row(
                12,
                Parts.label(Words.get("brief.title"), "page-title"),
                Parts.label(Words.get("brief.lead"), "quiet"),
                Parts.spacer(),
                Parts.closeButton(close));
        ScrollPane scroll = Parts.scroll(list);
        scroll.setPrefSize(LIST_WIDTH, HEIGHT);
        scroll.setMinWidth(LIST_WIDTH);
        place.setPrefSize(PAGE_WIDTH, HEIGHT);
        HBox.setHgrow(place, Priority.ALWAYS);
        foot = Parts.row(
                6,
                Parts.smallButton("brief.make", "brief-make", this::make),
                Parts.smallButton("brief.take", "brief-take", this::take),
                Parts.spacer(),
                forget,
                give,
                use);
        briefs = new HBox(16, scroll, place);
        body.getChildren().setAll(briefs);
        again.setId("brief-again");
        again.managedProperty().bind(again.visibleProperty());
        again.setVisible(false);
        getChildren().addAll(heading, body, Parts.row(8, said, again), foot);
        offer(Optional.empty());
        read();
        sceneProperty().addListener((observed, before, now) -> {
            if (now == null) {
                reading.forget();
            }
        });
    }

    private void read() {
        Path photos = session.path();
        reading.ask(() -> shelf.read(photos));
    }

    /** Shows what there is, at what was chosen last. */
    private void show(BriefShelf.Contents contents) {
        list.getChildren().clear();
        group.getToggles().clear();
        names = contents.own().stream()
                .filter(kept -> kept.document().isPresent())
                .map(KeptBriefs.Kept::name)
                .collect(Collectors.toSet());
        add("brief.kept", contents.own());
        add("brief.beside", contents.beside());
        Optional<KeptBriefs.Kept> first =
                wanted.flatMap(contents::named).or(() -> contents.all().stream().findFirst());
        wanted = Optional.empty();
        if (contents.all().isEmpty()) {
            list.getChildren().setAll(wrapped(Words.get("brief.none"), "quiet"));
            place.getChildren().clear();
            offer(Optional.empty());
        }
        first.ifPresent(this::choose);
    }

    private static Label wrapped(String words, String... styles) {
        Label label = Parts.label(words, styles);
        label.setWrapText(true);
        label.setMaxWidth(Double.MAX_VALUE);
        return label;
    }

    private void add(String title, List<KeptBriefs.Kept> briefs) {
        if (briefs.isEmpty()) {
            return;
        }
        list.getChildren().add(Parts.label(Words.get(title), "small", "quiet"));
        for (KeptBriefs.Kept brief : briefs) {
            ToggleButton entry = new ToggleButton(brief.name());
            entry.setMnemonicParsing(false);
            entry.getStyleClass().addAll("choice", "brief-entry");
            entry.setMaxWidth(Double.MAX_VALUE);
            entry.setUserData(brief);
            entry.setToggleGroup(group);
            brief.problem().ifPresent(any -> entry.setGraphic(Parts.square()));
            Parts.explain(entry, Words.get("brief.entry.tip", brief.file().toString()));
            entry.setOnAction(event -> choose(brief));
            list.getChildren().add(entry);
        }
    }

    private void choose(KeptBriefs.Kept brief) {
        group.getToggles()
                .forEach(entry -> entry.setSelected(entry.getUserData().equals(brief)));
        page = brief.document()
                .map(read ->
                        new BriefPage(read.brief(), session.shoot(), shelf.terms(), () -> offer(Optional.of(brief))));
        Node shown = page.map(BriefPage::node)
                .orElseGet(() -> wrapped(Words.say(brief.problem().orElseThrow()), "broken"));
        place.getChildren().setAll(shown);
        offer(Optional.of(brief));
    }

    /** What can be done with what is shown. */
    private void offer(Optional<KeptBriefs.Kept> brief) {
        chosen = brief;
        boolean canBeUsed = page.isPresent() && brief.isPresent();
        use.setDisable(!canBeUsed || session.isReadOnly() || !page.orElseThrow().isOfUse());
        give.setDisable(!canBeUsed);
        forget.setDisable(brief.filter(this::isOwn).isEmpty());
    }

    /** What lies beside the photos is not the photographer's to be forgotten here. */
    private boolean isOwn(KeptBriefs.Kept brief) {
        return !session.path().equals(brief.file().toAbsolutePath().getParent());
    }

    private void use() {
        BriefPage used = page.orElseThrow();
        Brief brief = used.brief();
        UseBrief preview = UseBrief.of(session.shoot(), brief);
        session.edit(
                Edit.Kind.BRIEF,
                preview.ids().get(0),
                shoot -> UseBrief.of(shoot, brief).shoot());
        boolean isUsed = session.shoot().formats().stream()
                .anyMatch(format -> format.id().equals(preview.ids().get(0)));
        if (isUsed) {
            session.formatProperty().set(preview.ids().get(0));
        }
        used.terms().ifPresent(shelf::setTerms);
        close.run();
    }

    private void take() {
        FileChooser chooser = chooser("brief.take");
        Optional.ofNullable(chooser.showOpenDialog(getScene().getWindow())).ifPresent(this::take);
    }

    private void take(File file) {
        shelf.take(
                file.toPath(),
                taken -> {
                    tell("");
                    wanted = Optional.of(taken.brief().name());
                    read();
                },
                this::refuse);
    }

    private void keepAgain() {
        forgotten.ifPresent(this::keep);
        tell("");
    }

    private void tell(String words) {
        again.setVisible(false);
        said.setText(words);
        Parts.style(said, "small", "quiet");
    }

    /** Says why something did not come off. */
    private void refuse(String why) {
        said.setText(why);
        Parts.style(said, "small", "look");
    }

    private static FileChooser chooser(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Words.get(title));
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(Words.get("brief.kind"), "*" + BriefDocument.ENDING));
        return chooser;
    }

    private void give() {
        BriefDocument document = chosen.flatMap(KeptBriefs.Kept::document).orElseThrow();
        FileChooser chooser = chooser("brief.give");
        chooser.setInitialFileName(NamePattern.clean(document.brief().name()) + BriefDocument.ENDING);
        Optional.ofNullable(chooser.showSaveDialog(getScene().getWindow())).ifPresent(file -> {
            Path to = withEnding(file.toPath());
            // What was chosen was asked about if it is there; what is made of its name was not.
            shelf.write(document, to, to.equals(file.toPath()), () -> tell(Words.get("brief.given", to)), this::refuse);
        });
    }

    /** A file without it would not be known again. */
    private static Path withEnding(Path file) {
        return BriefDocument.isNamedSo(file) ? file : file.resolveSibling(file.getFileName() + BriefDocument.ENDING);
    }

    private void forget() {
        KeptBriefs.Kept gone = chosen.orElseThrow();
        shelf.forget(
                gone,
                () -> {
                    tell(Words.get("brief.forgotten", gone.name()));
                    forgotten = gone.document().map(BriefDocument::brief);
                    again.setVisible(forgotten.isPresent());
                    page = Optional.empty();
                    read();
                },
                this::refuse);
    }

    /** Makes a brief of the shoot as it is. */
    private void make() {
        tell("");
        MakeBrief making = new MakeBrief(session.shoot(), shelf, names, this::keep);
        body.getChildren().setAll(making.node());
        showFoot(false);
        making.begin();
    }

    private void keep(Brief brief) {
        shelf.keep(
                BriefDocument.of(brief),
                () -> {
                    wanted = Optional.of(brief.name());
                    back();
                    read();
                },
                this::refuse);
    }

    @Override
    public boolean back() {
        boolean isMaking = !body.getChildren().contains(briefs);
        body.getChildren().setAll(briefs);
        showFoot(true);
        return isMaking;
    }

    private void showFoot(boolean shown) {
        foot.setVisible(shown);
        foot.setManaged(shown);
    }
}
