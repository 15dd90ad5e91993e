package dusk.ledger.interchange;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Ledger;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a ledger as a package: all its files and their description. */
public final class PackageWriter {
    private PackageWriter() {}

    /**
     * @param place a folder, made where it is not there, or a file that ends in {@code .zip}
     * @param title a line about whose records these are
     */
    public static void write(Ledger ledger, String title, Path place) throws IOException {
        if (String.valueOf(place.getFileName()).endsWith(".zip")) {
            try (OutputStream out = Files.newOutputStream(place)) {
                writeZip(ledger, title, out);
            }
            return;
        }
        Files.createDirectories(place);
        for (Map.Entry<String, byte[]> file : files(ledger, title).entrySet()) {
            Files.write(place.resolve(file.getKey()), file.getValue());
        }
    }

    /** Writes the package as a zip archive. */
    public static void writeZip(Ledger ledger, String title, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out);
        for (Map.Entry<String, byte[]> file : files(ledger, title).entrySet()) {
            zip.putNextEntry(new ZipEntry(file.getKey()));
            zip.write(file.getValue());
            zip.closeEntry();
        }
        zip.finish();
    }

    private static Map<String, byte[]> files(Ledger ledger, String title) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put(PackageFiles.DESCRIPTOR, descriptor(title));
        for (Table<?> table : LedgerFormat.ALL) {
            files.put(table.name() + ".csv", csv(table, ledger));
        }
        return files;
    }

    private static <T> byte[] csv(Table<T> table, Ledger ledger) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Writer writer = new OutputStreamWriter(bytes, StandardCharsets.UTF_8);
                CSVPrinter printer = new CSVPrinter(writer, CSVFormat.RFC4180)) {
            printer.printRecord(table.columns().stream().map(FileColumn::name));
            for (T row : table.rows().apply(ledger)) {
                printer.printRecord(table.columns().stream()
                        .map(c -> CellText.write(c.value().apply(row))));
            }
        }
        return bytes.toByteArray();
    }

    private static byte[] descriptor(String title) {
        ObjectNode root = JsonMapper.shared().createObjectNode();
        root.put("profile", "tabular-data-package");
        root.put("name", "dusk-ledger");
        root.put("title", title);
        root.put("edition", LedgerFormat.EDITION);
        ArrayNode resources = root.putArray("resources");
        for (Table<?> table : LedgerFormat.ALL) {
            ObjectNode resource = resources.addObject();
            resource.put("name", table.name());
            resource.put("path", table.name() + ".csv");
            resource.put("profile", "tabular-data-resource");
            resource.put("encoding", "utf-8");
            schema(table, resource.putObject("schema"));
        }
        return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsBytes(root);
    }

    private static <T> void schema(Table<T> table, ObjectNode schema) {
        ArrayNode fields = schema.putArray("fields");
        ArrayNode keys = schema.arrayNode();
        for (FileColumn<T> column : table.columns()) {
            ObjectNode field = fields.addObject();
            field.put("name", column.name());
            field.put("type", column.kind().frictionless());
            if (column.required()) {
                field.putObject("constraints").put("required", true);
            }
            if (column.references() != null) {
                ObjectNode key = keys.addObject();
                key.put("fields", column.name());
                key.putObject("reference")
                        .put("resource", column.references().equals(table.name()) ? "" : column.references())
                        .put("fields", target(column.references()));
            }
        }
        schema.put("primaryKey", table.idColumn());
        if (!keys.isEmpty()) {
            schema.set("foreignKeys", keys);
        }
    }

    private static String target(String table) {
        return LedgerFormat.ALL.stream()
                .filter(t -> t.name().equals(table))
                .findFirst()
                .orElseThrow()
                .idColumn();
    }
}
