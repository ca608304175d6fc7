package nexa.desktop.session;

import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import nexa.files.FileStamp;

/**
 * What has happened to the photos in a folder between two looks at it.
 *
 * @param fresh photos that are not of the shoot, and have come to rest: a file still being copied changes from look to look
 * @param gone photos of the shoot that are not there any more
 * @param changed photos of the shoot that are there again, or whose file is another one now
 */
record FolderNews(Set<String> fresh, Set<String> gone, Set<String> changed) {

    /** @param known the photos of the shoot */
    static FolderNews between(Map<String, FileStamp> before, Map<String, FileStamp> now, Set<String> known) {
        Set<String> fresh = new TreeSet<>();
        Set<String> gone = new TreeSet<>(before.keySet());
        gone.removeAll(now.keySet());
        gone.retainAll(known);
        Set<String> changed = new TreeSet<>();
        now.forEach((file, stamp) -> {
            boolean isAtRest = stamp.equals(before.get(file));
            if (isAtRest && !known.contains(file)) {
                fresh.add(file);
            } else if (!isAtRest && known.contains(file)) {
                changed.add(file);
            }
        });
        return new FolderNews(fresh, gone, changed);
    }

    boolean isNothing() {
        return fresh.isEmpty() && gone.isEmpty() && changed.isEmpty();
    }
}
