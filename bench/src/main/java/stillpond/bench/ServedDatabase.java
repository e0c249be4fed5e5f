package stillpond.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;

/** The database of the application that is measured. */
public record ServedDatabase(String url, String user, String password) {

    /** As {@code ./pond bench} says it. */
    public static ServedDatabase ofEnvironment() {
        return new ServedDatabase(
                System.getenv("POND_DB_URL"), System.getenv("POND_DB_USER"), System.getenv("POND_DB_PASSWORD"));
    }

    public Connection connect() throws SQLException {
        return DriverManager.getConnection(url, user, password);
    }
}
