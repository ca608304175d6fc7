package nexa.imaging.decode;

import com.adobe.internal.xmp.XMPException;
import com.adobe.internal.xmp.XMPMeta;
import com.adobe.internal.xmp.XMPMetaFactory;
import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifReader;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * What a photo says of itself beside its pixels. It is read within bounds, and whatever is wrong with it never keeps the pixels
 * from being read.
 *
 * @param exif what its EXIF block says, empty if there is none; without the maker's notes
 * @param xmp what its XMP says. Never to be gone through with the library's iterator, which takes twice as long for every
 *     structure inside another
 * @param isCut whether some of it was passed over: more than any camera or program writes, or what nothing can read
 */
public record ToldMetadata(Metadata exif, Optional<XMPMeta> xmp, boolean isCut) {
    private static final byte[] XMP = "http://ns.adobe.com/xap/1.0/\0".getBytes(StandardCharsets.ISO_8859_1);
    /** Elements inside one another; regions take about ten. */
    private static final int DEEPEST = 64;
    /** Elements and attributes; a long history of a photo has some thousands. */
    private static final int MOST_NODES = 20_000;

    /** What a directory and those below it say. */
    static ToldMetadata of(Optional<TiffDirectory> directory) {
        Metadata told = new Metadata();
        if (directory.isEmpty()) {
            return new ToldMetadata(told, Optional.empty(), false);
        }
        try {
            // Read from a block made anew, so that nothing in it can lead the reader astray.
            byte[] block = TiffWriting.block(directory.get().withoutInExif(TiffDirectory.MAKER_NOTE));
            new ExifReader().extract(new ByteArrayReader(block), told);
            return new ToldMetadata(told, Optional.empty(), directory.get().isCut());
        } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
            return new ToldMetadata(new Metadata(), Optional.empty(), true);
        }
    }

    /** The same, some of which was passed over, or not. */
    ToldMetadata cut(boolean also) {
        return new ToldMetadata(exif, xmp, isCut || also);
    }

    /** With what the first XMP packet among a JPEG's segments says; one that declares anything of its own says nothing. */
    ToldMetadata withXmp(Iterable<byte[]> segments) {
        for (byte[] segment : segments) {
            if (SourceMetadata.startsWith(segment, XMP)) {
                String packet = new String(segment, XMP.length, segment.length - XMP.length, StandardCharsets.UTF_8);
                return packet.contains("<!") ? this : withXmp(packet);
            }
        }
        return this;
    }

    private ToldMetadata withXmp(String packet) {
        try {
            if (!isWithinBounds(packet)) {
                return cut(true);
            }
            return new ToldMetadata(exif, Optional.of(XMPMetaFactory.parseFromString(packet)), isCut);
        } catch (XMLStreamException | XMPException e) {
            // It is no XMP.
            return this;
        } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
            return cut(true);
        }
    }

    /** Whether a packet is small enough for readers that descend into it, and compare everything in it with everything. */
    private static boolean isWithinBounds(String packet) throws XMLStreamException {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        XMLStreamReader in = factory.createXMLStreamReader(new StringReader(packet.strip()));
        int depth = 0;
        int nodes = 0;
        while (in.hasNext()) {
            int event = in.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                depth++;
                nodes += 1 + in.getAttributeCount();
                if (depth > DEEPEST || nodes > MOST_NODES) {
                    return false;
                }
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            }
        }
        return true;
    }
}
