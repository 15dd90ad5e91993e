package dusk.ledger.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

@AnalyzeClasses(packages = "dusk.ledger.web", importOptions = ImportOption.DoNotIncludeTests.class)
class ModulesTest {
    @ArchTest
    static final ArchRule pagesAskTheStore = noClasses()
            .that()
            .haveSimpleNameEndingWith("View")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.jooq..", "java.sql..")
            .because("what a page shows is made from the record, not from SQL");

    @ArchTest
    static final ArchRule noWallClock = noClasses()
            .that()
            .resideOutsideOfPackage("dusk.ledger.web.exchange")
            .should()
            .callMethod(java.time.Instant.class, "now")
            .because("the clock is given, so that a test can turn it");

    @Test
    void placesAreModulesWithoutCycles() {
        ApplicationModules.of(DuskLedger.class).verify();
    }
}
