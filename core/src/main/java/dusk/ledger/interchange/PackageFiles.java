package dusk.ledger.interchange;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;

/** The bytes of a package's files by name, from a folder or a zip archive. */
final class PackageFiles {
    static final String DESCRIPTOR = "datapackage.json";

    /** Unpacked, all files together: far beyond any club, and small enough to keep a crafted archive from filling the memory. */
    private static final long MOST_BYTES = 512L << 20;

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

    static PackageFiles of(Path place) throws IOException, Refused {
        if (Files.isDirectory(place)) {
            return ofFolder(place);
        }
        if (!Files.isRegularFile(place)) {
            throw refused(place.toString(), "not there, expected a folder or a .zip with " + DESCRIPTOR);
        }
        try (InputStream in = Files.newInputStream(place)) {
            return ofZip(String.valueOf(place.getFileName()), in);
        }
    }

    private static PackageFiles ofFolder(Path folder) throws IOException, Refused {
        Map<String, byte[]> files = new HashMap<>();
        long total = 0;
        try (var entries = Files.newDirectoryStream(folder, Files::isRegularFile)) {
            for (Path file : entries) {
                total += Files.size(file);
                if (total > MOST_BYTES) {
                    throw tooLarge(folder.toString());
                }
                files.put(String.valueOf(file.getFileName()), Files.readAllBytes(file));
            }
        }
        return new PackageFiles(files);
    }

    /** Files may stand at the archive's top or in one folder of it. */
    static PackageFiles ofZip(String name, InputStream in) throws IOException, Refused {
        Map<String, byte[]> files = new HashMap<>();
        long left = MOST_BYTES;
        try (ZipInputStream zip = new ZipInputStream(in)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.isDirectory()) {
                    continue;
                }
                byte[] bytes = zip.readNBytes((int) Math.min(left + 1, Integer.MAX_VALUE - 8));
                left -= bytes.length;
                if (left < 0) {
                    throw tooLarge(name);
                }
                files.put(entry.getName(), bytes);
            }
        } catch (ZipException e) {
            throw refused(
                    name, "not a readable zip archive (" + e.getMessage() + "), expected a .zip with " + DESCRIPTOR);
        }
        if (files.isEmpty()) {
            throw refused(name, "not a zip archive, expected a folder or a .zip with " + DESCRIPTOR);
        }
        return new PackageFiles(withoutFolder(files));
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

    private static Refused tooLarge(String name) {
        return refused(name, "over " + (MOST_BYTES >> 20) + " MiB unpacked, expected a smaller package");
    }

    private static Refused refused(String name, String message) {
        return new Refused(List.of(new Fault(name, 0, "", message)));
    }
}
