package idlebough.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import idlebough.core.judge.Room;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The layers of the application: rooms and home over what they share, that over the store, that over the database. */
class LayersTest {
    private static final String APP = "idlebough.app.";
    private static final JavaClasses CLASSES =
            new ClassFileImporter(List.of(new ImportOption.DoNotIncludeTests())).importPackages("idlebough.app");
    private static final List<String> ROOMS = Stream.concat(
                    Arrays.stream(Room.values()).map(Room::key), Stream.of("assortment"))
            .toList();

    private static String[] rooms() {
        return ROOMS.stream().map(room -> APP + room).toArray(String[]::new);
    }

    @Test
    void arrowsPointDown() {
        layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("start")
                .definedBy("idlebough.app")
                .layer("demo")
                .definedBy(APP + "demo")
                .layer("home")
                .definedBy(APP + "home")
                .layer("rooms")
                .definedBy(rooms())
                .layer("shared")
                .definedBy(APP + "account", APP + "exchange", APP + "jobs", APP + "tree", APP + "web")
                .layer("store")
                .definedBy(APP + "store")
                .layer("database")
                .definedBy(APP + "database")
                .whereLayer("demo")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("home")
                .mayOnlyBeAccessedByLayers("demo")
                .whereLayer("rooms")
                .mayOnlyBeAccessedByLayers("demo")
                .whereLayer("shared")
                .mayOnlyBeAccessedByLayers("start", "demo", "home", "rooms")
                .whereLayer("store")
                .mayOnlyBeAccessedByLayers("demo", "home", "rooms", "shared")
                .check(CLASSES);
    }

    @Test
    void noPackagesInACircle() {
        slices().matching("idlebough.app.(*)..").should().beFreeOfCycles().check(CLASSES);
    }

    /** In the order of the work, as in the core. */
    @Test
    void aRoomUsesOnlyEarlierRooms() {
        for (int i = 0; i < ROOMS.size(); i++) {
            String[] later = ROOMS.subList(i + 1, ROOMS.size()).stream()
                    .map(room -> APP + room)
                    .toArray(String[]::new);
            if (later.length > 0) {
                noClasses()
                        .that()
                        .resideInAPackage(APP + ROOMS.get(i))
                        .should()
                        .dependOnClassesThat()
                        .resideInAnyPackage(later)
                        .allowEmptyShould(true)
                        .check(CLASSES);
            }
        }
    }

    @Test
    void onlyTheStoreSpeaksToTheDatabase() {
        classes()
                .that()
                .areAnnotatedWith("org.apache.ibatis.annotations.Mapper")
                .should()
                .resideInAPackage(APP + "store")
                .check(CLASSES);
    }
}
