package nexa.desktop.desk;

import javafx.scene.Node;

/**
 * A page of a part of the desk.
 *
 * @param key of its heading in the bundle
 * @param id of its heading
 */
public record DeskPage(String key, String id, Node node) {}
