package idlebough.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * The order of the rooms is the order of the work: no room uses a later one, and the core knows no web and no
 * database.
 */
class RoomsTest {
    private static final List<String> ORDER = List.of(
            "measure",
            "judge",
            "crop",
            "site",
            "winter",
            "variety",
            "pollination",
            "rootstock",
            "layout",
            "assortment",
            "irrigation",
            "planting",
            "almanac",
            "daybook",
            "orchard");
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("idlebough.core");

    @Test
    void noRoomUsesALaterOne() {
        for (int room = 0; room < ORDER.size(); room++) {
            String[] later = ORDER.subList(room + 1, ORDER.size()).stream()
                    .map(name -> "idlebough.core." + name + "..")
                    .toArray(String[]::new);
            if (later.length > 0) {
                noClasses()
                        .that()
                        .resideInAPackage("idlebough.core." + ORDER.get(room) + "..")
                        .should()
                        .dependOnClassesThat()
                        .resideInAnyPackage(later)
                        .allowEmptyShould(true)
                        .check(CORE);
            }
        }
        SlicesRuleDefinition.slices()
                .matching("idlebough.core.(*)..")
                .should()
                .beFreeOfCycles()
                .check(CORE);
    }

    @Test
    void theCoreIsPlain() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..",
                        "java.sql..",
                        "javax.sql..",
                        "org.apache.ibatis..",
                        "org.thymeleaf..",
                        "jakarta..")
                .check(CORE);
    }
}
