package nexa.desktop.session;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javax.imageio.ImageIO;
import nexa.store.document.ShootProblem;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.UserData;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** A session on small photos made for a test, without a window; everything is done on the JavaFX thread. */
public final class SessionFixture implements AutoCloseable {
    private final ShootSession session;

    private SessionFixture(ShootSession session) {
        this.session = session;
    }

    /** Photos w1.png to w4.png are wide, t1.png and t2.png tall. */
    public static Path photos(Path folder) throws Exception {
        for (String name : new String[] {"w1", "w2", "w3", "w4"}) {
            write(folder, name, 600, 400);
        }
        write(folder, "t1", 400, 600);
        write(folder, "t2", 400, 600);
        return folder;
    }

    /** A photo of its own shade, so that no two files are the same. */
    static void write(Path folder, String name, int width, int height) throws Exception {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        image.setRGB(0, 0, name.hashCode());
        ImageIO.write(image, "png", folder.resolve(name + ".png").toFile());
    }

    /** Opens a folder and waits until all photos have been read, or found unreadable. */
    public static SessionFixture open(Path folder, Path data) throws Exception {
        SessionFixture fixture = begin(folder, data);
        ShootSession session = fixture.session;
        // What a document says of sizes makes photos ready before they are read, and what is read takes its turn.
        await(() -> session.shoot().photos().stream()
                .allMatch(session.readingProperty().get()::has));
        return fixture;
    }

    /** Opens a folder and waits for nothing. */
    static SessionFixture begin(Path folder, Path data) throws Exception {
        FxToolkit.registerPrimaryStage();
        ShootFolder opened = ShootFolder.open(folder, new UserData(Files.createDirectories(data)));
        Autosave.Listener saving = new Autosave.Listener() {
            @Override
            public void saved(boolean apart) {}

            @Override
            public void failed(ShootProblem problem) {
                throw new IllegalStateException(problem);
            }
        };
        ShootSession session = on(() -> new ShootSession(opened, saving, new Background()));
        return new SessionFixture(session);
    }

    /** Waits until something is so on the JavaFX thread. */
    static void await(Callable<Boolean> condition) throws Exception {
        WaitForAsyncUtils.waitFor(180, TimeUnit.SECONDS, () -> on(condition));
    }

    public ShootSession session() {
        return session;
    }

    /** Does something on the JavaFX thread and waits for it. */
    public static <T> T on(Callable<T> work) throws Exception {
        if (Platform.isFxApplicationThread()) {
            return work.call();
        }
        return WaitForAsyncUtils.asyncFx(work).get(180, TimeUnit.SECONDS);
    }

    @Override
    public void close() throws Exception {
        on(session::close).get(180, TimeUnit.SECONDS);
    }
}
