package nexa.imaging.deliver;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import nexa.core.format.Format;
import nexa.core.format.NamePattern;
import nexa.core.format.PixelSize;
import nexa.core.series.AskCheck;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.series.SureLevels;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.facts.CaptureTime;
import nexa.imaging.facts.ShootReading;

/**
 * What is going to be delivered: one file for every chosen photo and format, as the shoot stands now.
 *
 * @param files in the order of formats, then photos
 * @param photos the files of all photos of the shoot, which no delivery may replace
 */
public record DeliveryPlan(List<Item> files, Set<String> photos) {

    public DeliveryPlan {
        files = List.copyOf(files);
        photos = Set.copyOf(photos);
    }

    /**
     * One file to come.
     *
     * @param name where it goes inside the destination, with / between folders
     * @param wishedName the name its format asks for, which another file may have already
     * @param isNameMended whether the name is not quite what was asked for, because not every file system would take that
     * @param asked how the crop meets what its format asks
     */
    public record Item(PhotoCrop crop, String name, String wishedName, boolean isNameMended, List<AskCheck> asked) {
        public Item {
            asked = List.copyOf(asked);
        }

        public Photo photo() {
            return crop.photo();
        }

        public Format format() {
            return crop.format();
        }
    }

    /**
     * Which photos and formats go.
     *
     * @param formats the formats' ids
     * @param onlySelects whether only photos marked select go; else all go that are not marked out
     * @param onlyDone whether only crops that are done go
     * @param onlyFiles the photos that may go at all, if not all of the shoot
     */
    public record Choice(Set<String> formats, boolean onlySelects, boolean onlyDone, Optional<Set<String>> onlyFiles) {
        public Choice {
            formats = Set.copyOf(formats);
            onlyFiles = onlyFiles.map(Set::copyOf);
        }

        /** Of all photos of the shoot. */
        public Choice(Set<String> formats, boolean onlySelects, boolean onlyDone) {
            this(formats, onlySelects, onlyDone, Optional.empty());
        }

        boolean takes(Photo photo, Format format) {
            boolean marked = onlySelects ? photo.mark() == Mark.SELECT : photo.mark() != Mark.OUT;
            boolean isOpen =
                    onlyFiles.map(files -> files.contains(photo.file())).orElse(true);
            return marked && isOpen && (!onlyDone || photo.entry(format.id()).isDone());
        }
    }

    /** How many files a plan would have, without working it out; photos that have not been read yet count as readable. */
    public static int count(Shoot shoot, ShootReading reading, Choice choice) {
        int count = 0;
        for (Format format : shoot.formats()) {
            count += choice.formats().contains(format.id())
                    ? (int) shoot.photos().stream()
                            .filter(photo -> choice.takes(photo, format))
                            .filter(photo -> !reading.hasProblem(photo))
                            .filter(photo -> photo.pixels().isPresent() || !reading.has(photo))
                            .count()
                    : 0;
        }
        return count;
    }

    private static List<Photo> photos(Shoot shoot, ShootReading reading, Choice choice, Format format) {
        return shoot.photos().stream()
                .filter(photo -> choice.takes(photo, format))
                .filter(reading::isReady)
                .toList();
    }

    /** The plan for a shoot of which nobody looked how its photos lie level. */
    public static DeliveryPlan of(Shoot shoot, ShootReading reading, Choice choice) {
        return of(shoot, reading, choice, SureLevels.NOT_LOOKED);
    }

    /** The plan for a shoot. Photos that could not be read are left out; the reading says which. */
    public static DeliveryPlan of(Shoot shoot, ShootReading reading, Choice choice, SureLevels levels) {
        List<Item> items = new ArrayList<>();
        Crops crops = new Crops(shoot);
        Names names = new Names();
        for (Format format : shoot.formats()) {
            if (!choice.formats().contains(format.id())) {
                continue;
            }
            List<Photo> photos = photos(shoot, reading, choice, format);
            int digits = Math.max(2, String.valueOf(photos.size()).length());
            for (int i = 0; i < photos.size(); i++) {
                PhotoCrop crop = crops.of(photos.get(i), format);
                String number = String.format(Locale.ROOT, "%0" + digits + "d", i + 1);
                String filled = NamePattern.filled(format.file().name(), words(shoot, reading, crop, number));
                String clean = NamePattern.clean(filled);
                String wished = folder(format) + clean;
                items.add(new Item(
                        crop,
                        names.unique(wished, "." + format.file().type().ending()),
                        wished + "." + format.file().type().ending(),
                        !clean.equals(filled.strip()),
                        AskCheck.of(crop, levels)));
            }
        }
        return new DeliveryPlan(items, shoot.photos().stream().map(Photo::file).collect(Collectors.toSet()));
    }

    private static String folder(Format format) {
        return format.file().folder().isEmpty() ? "" : format.file().folder() + "/";
    }

    /** The name that a format gives a photo's file, with its folder; as an example, so the first of its kind. */
    public static String example(Shoot shoot, ShootReading reading, PhotoCrop crop) {
        Format format = crop.format();
        String name = NamePattern.fill(format.file().name(), words(shoot, reading, crop, "01"));
        return folder(format) + name + "." + format.file().type().ending();
    }

    private static Map<String, String> words(Shoot shoot, ShootReading reading, PhotoCrop crop, String number) {
        Format format = crop.format();
        PixelSize size = crop.output();
        Map<String, String> words = new HashMap<>();
        words.put("shoot", shoot.title());
        words.put("photo", withoutEnding(crop.photo().file()));
        words.put("format", format.name());
        words.put("number", number);
        words.put(
                "date",
                reading.capturedAt(crop.photo())
                        .map(CaptureTime::local)
                        .map(DateTimeFormatter.ISO_LOCAL_DATE::format)
                        .orElse(""));
        words.put("size", size.width() + "x" + size.height());
        return words;
    }

    /** The names given so far. */
    private static final class Names {
        private final Set<String> taken = new HashSet<>();
        /** Where counting goes on: thousands of files may ask for the same name. */
        private final Map<String, Integer> numbers = new HashMap<>();

        /** The name, numbered if an earlier file has it already on a file system that ignores case. */
        String unique(String name, String ending) {
            String unique = name + ending;
            String asked = unique.toLowerCase(Locale.ROOT);
            int number = numbers.getOrDefault(asked, 2);
            for (; !taken.add(unique.toLowerCase(Locale.ROOT)); number++) {
                unique = name + "-" + number + ending;
            }
            numbers.put(asked, number);
            return unique;
        }
    }

    private static String withoutEnding(String file) {
        String name = file.substring(file.lastIndexOf('/') + 1);
        int dot = name.lastIndexOf('.');
        return dot > 0 ? name.substring(0, dot) : name;
    }
}
