package dusk.ledger.interchange;

import java.io.ByteArrayInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;

/** The bytes of a package's files by name, from a folder or a zip archive. */
final class PackageFiles {
    private static final int END_BYTES = 22;

    static final String DESCRIPTOR = "datapackage.json";

    private final Map<String, byte[]> files;

    private PackageFiles(Map<String, byte[]> files) {
        this.files = files;
    }

    byte @Nullable [] get(String name) {
        return files.get(name);
    }

    Iterable<String> names() {
        return new TreeSet<>(files.keySet());
    }

    static PackageFiles of(Path place, Room room) throws IOException, Refused {
        if (Files.isDirectory(place)) {
            return ofFolder(place, room);
        }
        if (!Files.isRegularFile(place)) {
            throw refused(place.toString(), "not there, expected a folder or a .zip with " + DESCRIPTOR);
        }
        try (InputStream in = Files.newInputStream(place)) {
            return ofZip(String.valueOf(place.getFileName()), in, room);
        }
    }

    private static PackageFiles ofFolder(Path folder, Room room) throws IOException, Refused {
        Map<String, byte[]> files = new HashMap<>();
        long total = 0;
        try (var entries = Files.newDirectoryStream(folder, Files::isRegularFile)) {
            for (Path file : entries) {
                total += Files.size(file);
                if (total > room.bytes()) {
                    throw tooLarge(folder.toString(), room);
                }
                files.put(String.valueOf(file.getFileName()), Files.readAllBytes(file));
            }
        }
        return new PackageFiles(files);
    }

    /** Files may stand at the archive's top or in one folder of it. */
    static PackageFiles ofZip(String name, InputStream in, Room room) throws IOException, Refused {
        Map<String, byte[]> files = new HashMap<>();
        byte[] archive = in.readNBytes((int) Math.min(room.bytes(), Integer.MAX_VALUE - 8) + 1);
        if (archive.length > room.bytes()) {
            throw tooLarge(name, room);
        }
        if (begins(archive) && !ends(archive)) {
            throw cutShort(name);
        }
        long left = room.bytes();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.isDirectory()) {
                    continue;
                }
                byte[] bytes = zip.readNBytes((int) Math.min(left + 1, Integer.MAX_VALUE - 8));
                left -= bytes.length;
                if (left < 0) {
                    throw tooLarge(name, room);
                }
                files.put(entry.getName(), bytes);
            }
        } catch (EOFException e) {
            throw cutShort(name);
        } catch (ZipException | IllegalArgumentException e) {
            throw refused(
                    name, "not a readable zip archive (" + e.getMessage() + "), expected a .zip with " + DESCRIPTOR);
        }
        if (files.isEmpty()) {
            throw refused(name, "not a zip archive, expected a folder or a .zip with " + DESCRIPTOR);
        }
        return new PackageFiles(withoutFolder(files));
    }

    /** As every archive with a file in it. */
    private static boolean begins(byte[] archive) {
        return archive.length > 3 && archive[0] == 'P' && archive[1] == 'K' && archive[2] == 3 && archive[3] == 4;
    }

    /** Whether the record that ends every archive is there, behind which a comment may stand. */
    private static boolean ends(byte[] archive) {
        for (int at = archive.length - END_BYTES; at >= Math.max(0, archive.length - END_BYTES - 0xFFFF); at--) {
            if (archive[at] == 'P' && archive[at + 1] == 'K' && archive[at + 2] == 5 && archive[at + 3] == 6) {
                return true;
            }
        }
        return false;
    }

    private static Map<String, byte[]> withoutFolder(Map<String, byte[]> files) {
        String folder = files.keySet().stream()
                .filter(n -> n.equals(DESCRIPTOR) || n.endsWith("/" + DESCRIPTOR))
                .min((a, b) -> Integer.compare(a.length(), b.length()))
                .map(n -> n.substring(0, n.length() - DESCRIPTOR.length()))
                .orElse("");
        Map<String, byte[]> bare = new HashMap<>();
        files.forEach((n, bytes) -> {
            if (n.startsWith(folder)) {
                bare.put(n.substring(folder.length()), bytes);
            }
        });
        return bare;
    }

    private static Refused cutShort(String name) {
        return refused(name, "cut short, expected the whole .zip; send or copy it again");
    }

    private static Refused tooLarge(String name, Room room) {
        return refused(
                name,
                "over " + (room.bytes() >> 20)
                        + " MiB unpacked, which is what there is memory for, expected a smaller package");
    }

    private static Refused refused(String name, String message) {
        Faults faults = new Faults(1);
        faults.add(name, message);
        return new Refused(faults);
    }
}
