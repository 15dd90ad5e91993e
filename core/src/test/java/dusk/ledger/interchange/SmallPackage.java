package dusk.ledger.interchange;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** One trip with one stint and one fish, without a fault; tests break it. */
final class SmallPackage {
    private SmallPackage() {}

    static void write(Path folder) throws IOException {
        Files.createDirectories(folder);
        Files.writeString(
                folder.resolve("datapackage.json"), "{\"profile\":\"tabular-data-package\",\"resources\":[]}");
        Files.writeString(folder.resolve("anglers.csv"), "angler_id,name\na1,Nessa\n");
        Files.writeString(folder.resolve("waters.csv"), "water_id,name,kind\nw1,Tarn,lake\n");
        Files.writeString(folder.resolve("spots.csv"), "spot_id,water_id,latitude,longitude\ns1,w1,,\n");
        Files.writeString(folder.resolve("setups.csv"), "setup_id,rig,head_mass_g\nu1,texas rig,3.5\n");
        Files.writeString(
                folder.resolve("trips.csv"),
                "trip_id,water_id,started_at,ended_at\nt1,w1,2026-05-01T06:00:00Z,2026-05-01T09:00:00Z\n");
        Files.writeString(
                folder.resolve("stints.csv"),
                "stint_id,trip_id,angler_id,spot_id,setup_id,started_at,minutes,bites,hooked\n"
                        + "x1,t1,a1,s1,u1,2026-05-01T06:00:00Z,30,2,1\n");
        Files.writeString(folder.resolve("catches.csv"), "catch_id,stint_id,species,count\nc1,x1,largemouth,1\n");
    }
}
