package idlebough.app.web;

import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether it works: asked by the start command, and by whoever watches the server. */
@RestController
class Alive {
    private static final int SECONDS = 2;
    private final DataSource database;

    Alive(DataSource database) {
        this.database = database;
    }

    @GetMapping(path = "/alive", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<String> alive() {
        try (Connection connection = database.getConnection()) {
            return connection.isValid(SECONDS)
                    ? ResponseEntity.ok("alive")
                    : ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE).body("the database does not answer");
        } catch (SQLException down) {
            return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE).body("the database does not answer");
        }
    }
}
