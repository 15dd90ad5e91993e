package dusk.ledger.interchange;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.lang.GeoLocation;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.GpsDirectory;
import dusk.ledger.units.Position;
import java.io.IOException;
import java.io.InputStream;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What a photograph says of when and where it was taken (Exif).
 *
 * @param local time of the camera's clock, which says no zone
 * @param offset of that clock, where the camera wrote it
 * @param position where the camera was
 */
public record PhotoFacts(
        @Nullable LocalDateTime local,
        @Nullable ZoneOffset offset,
        @Nullable Position position) {
    private static final DateTimeFormatter EXIF = DateTimeFormatter.ofPattern("uuuu:MM:dd HH:mm:ss", Locale.ROOT);

    /**
     * Reads them; all are null where the photograph does not say them.
     *
     * @throws Refused where it is no photograph
     */
    public static PhotoFacts read(String name, InputStream in) throws IOException, Refused {
        Metadata metadata;
        try {
            metadata = ImageMetadataReader.readMetadata(in);
        } catch (ImageProcessingException | RuntimeException e) {
            // a damaged file ends in whatever the library meets first
            throw Refused.of(new Fault(
                    name, 0, "", "not a photograph that can be read, expected a JPEG, HEIC, PNG or TIFF file"));
        }
        ExifSubIFDDirectory taken = metadata.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
        GpsDirectory gps = metadata.getFirstDirectoryOfType(GpsDirectory.class);
        GeoLocation place = gps == null ? null : gps.getGeoLocation();
        return new PhotoFacts(
                taken == null ? null : time(taken.getString(ExifSubIFDDirectory.TAG_DATETIME_ORIGINAL)),
                taken == null ? null : offset(taken.getString(ExifSubIFDDirectory.TAG_TIME_ZONE_ORIGINAL)),
                place == null || place.isZero() ? null : position(place));
    }

    private static @Nullable Position position(GeoLocation place) {
        try {
            return new Position(place.getLatitude(), place.getLongitude());
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    private static @Nullable LocalDateTime time(@Nullable String text) {
        try {
            return text == null ? null : LocalDateTime.parse(text.strip(), EXIF);
        } catch (DateTimeException e) {
            return null;
        }
    }

    private static @Nullable ZoneOffset offset(@Nullable String text) {
        try {
            return text == null ? null : ZoneOffset.of(text.strip());
        } catch (DateTimeException e) {
            return null;
        }
    }

    /** When it was taken; the camera's clock is taken to be the zone's where it says none. */
    public @Nullable Instant at(ZoneId zone) {
        if (local == null) {
            return null;
        }
        return offset == null
                ? local.atZone(zone).toInstant()
                : OffsetDateTime.of(local, offset).toInstant();
    }
}
