package velvetcrock.account;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.management.JdbcUserCredentialRepository;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.chronicle.Chronicle;
import velvetcrock.chronicle.Deed;
import velvetcrock.web.HouseName;
import velvetcrock.web.NotFound;

/**
 * The passkeys of members. Each is good only under the name of the house at which it was made; one
 * of another name is shown, so that it can be made anew, and opens nothing.
 */
@Component
class Passkeys implements UserCredentialRepository {
  private static final String OF =
      " from user_credentials c join user_entities e on e.id = c.user_entity_user_id"
          + " where e.name = ?";

  private final JdbcTemplate jdbc;
  private final JdbcUserCredentialRepository kept;
  private final HouseName house;
  private final Chronicle chronicle;

  Passkeys(JdbcTemplate jdbc, HouseName house, Chronicle chronicle) {
    this.jdbc = jdbc;
    this.kept = new JdbcUserCredentialRepository(jdbc);
    this.house = house;
    this.chronicle = chronicle;
  }

  /**
   * A passkey as it is shown.
   *
   * @param elsewhere whether it was made under another name of the house
   */
  record Row(String id, String label, Instant made, @Nullable Instant used, boolean elsewhere) {}

  /** Somebody’s, in the order in which they were made. */
  List<Row> of(String login) {
    return jdbc.query(
        "select c.credential_id, c.label, c.created, c.last_used, c.host"
            + OF
            + " order by c.created",
        (row, number) ->
            new Row(
                row.getString(1),
                row.getString(2),
                row.getTimestamp(3).toInstant(),
                row.getTimestamp(4) == null ? null : row.getTimestamp(4).toInstant(),
                !row.getString(5).equals(house.host())),
        login);
  }

  /**
   * Takes one of somebody’s away.
   *
   * @throws NotFound if he has none such
   */
  @Transactional
  public void remove(String login, String id) {
    int gone =
        jdbc.update(
            "delete from user_credentials where credential_id in (select c.credential_id"
                + OF
                + " and c.credential_id = ?)",
            login,
            id);
    if (gone == 0) {
      throw new NotFound("There is no such passkey.");
    }
    chronicle.note(Deed.PASSKEY_REMOVED, "");
  }

  @Override
  @Transactional
  public void save(CredentialRecord passkey) {
    kept.save(passkey);
    int made =
        jdbc.update(
            "update user_credentials set host = ? where credential_id = ? and host = ''",
            house.host(),
            passkey.getCredentialId().toBase64UrlString());
    if (made > 0) {
      chronicle.note(Deed.PASSKEY_ADDED, passkey.getLabel());
    }
  }

  @Override
  public void delete(Bytes id) {
    kept.delete(id);
  }

  @Override
  public @Nullable CredentialRecord findByCredentialId(Bytes id) {
    return kept.findByCredentialId(id);
  }

  @Override
  public List<CredentialRecord> findByUserId(Bytes user) {
    return kept.findByUserId(user);
  }
}
