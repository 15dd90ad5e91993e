package dusk.ledger;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;
import java.time.Instant;

@AnalyzeClasses(packages = "dusk.ledger", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule plainJava = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "jakarta..", "java.sql..", "org.jooq..")
            .because("the core knows no web, no SQL and no framework");

    @ArchTest
    static final ArchRule noClockOfItsOwn = noClasses()
            .should()
            .callMethod(Instant.class, "now")
            .orShould()
            .callMethod(Clock.class, "systemUTC")
            .because("the time is given to the core, never taken by it");

    @ArchTest
    static final ArchRule noCycles =
            slices().matching("dusk.ledger.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule unitsStandAlone = noClasses()
            .that()
            .resideInAPackage("dusk.ledger.units")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("dusk.ledger.journal..", "dusk.ledger.vocabulary..", "dusk.ledger.evidence..")
            .because("everything is measured in units, so units know nothing else");

    @ArchTest
    static final ArchRule theRecordKnowsNoReckoning = noClasses()
            .that()
            .resideInAnyPackage("dusk.ledger.journal", "dusk.ledger.vocabulary")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "dusk.ledger.stints..",
                    "dusk.ledger.evidence..",
                    "dusk.ledger.interchange..",
                    "dusk.ledger.patterns..")
            .because("what was fished stays true whatever is made of it");
}
