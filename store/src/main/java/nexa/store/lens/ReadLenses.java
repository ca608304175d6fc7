package nexa.store.lens;

import java.util.List;
import java.util.stream.Stream;
import nexa.core.lens.LensBook;
import nexa.core.message.Message;
import nexa.core.message.Telling;

/**
 * What lens data says, and what of it was passed over.
 *
 * @param told what could not be read, and how much of what could makes no sense, file by file
 */
public record ReadLenses(LensBook book, List<Message> told) {
    /** Nothing, with nothing passed over. */
    public static final ReadLenses NOTHING = new ReadLenses(LensBook.EMPTY, List.of());

    public ReadLenses {
        told = List.copyOf(told);
    }

    /** Nothing, since something was thrown over it. */
    public static ReadLenses failed(Throwable thrown) {
        return new ReadLenses(LensBook.EMPTY, List.of(Message.of("lens.notRead", Telling.of(thrown))));
    }

    /** With cameras and lenses of one's own, which count before those of the same name. */
    public ReadLenses withOwn(ReadLenses mine) {
        return new ReadLenses(
                book.withOwn(mine.book),
                Stream.concat(told.stream(), mine.told.stream()).toList());
    }
}
