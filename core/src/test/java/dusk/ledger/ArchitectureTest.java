package dusk.ledger;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;

@AnalyzeClasses(packages = "dusk.ledger", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule plainJava = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "jakarta..", "java.sql..", "org.jooq..", "picocli..")
            .because("the core knows no web, no SQL, no command line and no framework");

    @ArchTest
    static final ArchRule noClockOfItsOwn = noClasses()
            .should()
            .callMethod(Instant.class, "now")
            .orShould()
            .callMethod(LocalDate.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
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
            .resideInAnyPackage("dusk.ledger.journal", "dusk.ledger.vocabulary", "dusk.ledger.format")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "dusk.ledger.stints..",
                    "dusk.ledger.evidence..",
                    "dusk.ledger.interchange..",
                    "dusk.ledger.patterns..")
            .because("what was fished stays true whatever is made of it");

    @ArchTest
    static final ArchRule tackleKnowsNoPackages = noClasses()
            .that()
            .resideInAnyPackage("dusk.ledger.tackle", "dusk.ledger.water", "dusk.ledger.fish", "dusk.ledger.safety")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("dusk.ledger.interchange")
            .because("what is tied on is no matter of how records travel");

    @ArchTest
    static final ArchRule theDemoClubKnowsNoSearch = noClasses()
            .that()
            .resideInAPackage("dusk.ledger.demo")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("dusk.ledger.patterns")
            .because("what was planted must not know how it is looked for");
}
