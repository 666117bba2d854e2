package velvetcrock.papers;

import java.time.Clock;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.crypto.keygen.BytesKeyGenerator;
import org.springframework.security.crypto.keygen.KeyGenerators;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.BottleRecord;
import velvetcrock.web.AtHand;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;

/**
 * The tokens on labels, each of 128 random bits. They are stored as they are, because a label is
 * printed again with the same one; what they open is no more than what the label says.
 */
@Service
public class Passes {
  private static final int BYTES = 16;
  private static final BytesKeyGenerator RANDOM = KeyGenerators.secureRandom(BYTES);

  private final BottlePassRepository passes;
  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final AtHand atHand;
  private final TransactionTemplate transactions;
  private final Clock clock;

  Passes(
      BottlePassRepository passes,
      JdbcTemplate jdbc,
      CurrentHousehold current,
      AtHand atHand,
      TransactionTemplate transactions,
      Clock clock) {
    this.passes = passes;
    this.jdbc = jdbc;
    this.current = current;
    this.atHand = atHand;
    this.transactions = transactions;
    this.clock = clock;
  }

  /**
   * A bottle by its batch's code and its letter, or tins by their product's code and their group's.
   *
   * @param product null for a bottle
   */
  record Held(@Nullable String batch, @Nullable String product, String letter) {}

  /** Whoever holds a bottle: sees its label and nothing else of the household. */
  private record Holder(UUID householdId, String displayName) implements InHousehold {}

  /** What a token opens, and whose it is. */
  private record Found(
      UUID household, @Nullable UUID batch, @Nullable UUID product, String letter) {}

  /** The tokens of bottles by their codes; those that have none get one. */
  @Transactional
  Map<String, String> tokens(List<BottleRecord> bottles) {
    Map<String, String> valid = new HashMap<>();
    List<UUID> batches = bottles.stream().map(b -> b.batch().id()).distinct().toList();
    for (BottlePass pass : passes.findByBatchIdInAndRevokedAtIsNull(batches)) {
      valid.put(pass.batchId() + pass.letter(), pass.token());
    }
    Map<String, String> tokens = new HashMap<>();
    for (BottleRecord bottle : bottles) {
      String letter = bottle.bottle().letter();
      tokens.put(
          bottle.code(),
          valid.computeIfAbsent(
              bottle.batch().id() + letter, key -> made(bottle.batch().id(), letter)));
    }
    return tokens;
  }

  private String made(UUID batch, String letter) {
    String token = fresh();
    passes.save(new BottlePass(batch, letter, token, clock.instant()));
    return token;
  }

  private static String fresh() {
    return Base64.getUrlEncoder().withoutPadding().encodeToString(RANDOM.generateKey());
  }

  /** The token of the tins of a group; made where there is none. */
  @Transactional
  String productToken(UUID product, String group) {
    return passes
        .findByProductIdAndLetterAndRevokedAtIsNull(product, group)
        .map(BottlePass::token)
        .orElseGet(
            () ->
                passes
                    .save(BottlePass.ofProduct(product, group, fresh(), clock.instant()))
                    .token());
  }

  /** Makes what is printed on the tins of a group open nothing any more. */
  @Transactional
  void revokeProduct(UUID product, String group) {
    passes
        .findByProductIdAndLetterAndRevokedAtIsNull(product, group)
        .ifPresent(pass -> pass.revoke(clock.instant()));
  }

  /** The token of a bottle, if it has one. */
  @Transactional(readOnly = true)
  public Optional<String> token(BatchRecord batch, String letter) {
    return valid(batch, letter).map(BottlePass::token);
  }

  /** Makes what is printed on a bottle's labels open nothing any more. */
  @Transactional
  void revoke(BatchRecord batch, String letter) {
    valid(batch, letter).ifPresent(pass -> pass.revoke(clock.instant()));
  }

  private Optional<BottlePass> valid(BatchRecord batch, String letter) {
    return passes.findByBatchIdInAndRevokedAtIsNull(List.of(batch.id())).stream()
        .filter(pass -> pass.letter().equals(letter))
        .findFirst();
  }

  /**
   * Does something with the bottle that a token opens, on behalf of its household.
   *
   * @return empty where the token opens nothing
   */
  <T> Optional<T> opened(String token, Function<Held, T> work) {
    Found found = transactions.execute(status -> found(token));
    return Optional.ofNullable(found)
        .map(
            pass ->
                current.actingAs(
                    new Holder(pass.household(), ""),
                    () -> work.apply(transactions.execute(status -> held(pass)))));
  }

  private @Nullable Found found(String token) {
    atHand.shows(token);
    return jdbc
        .query(
            "select household_id, batch_id, product_id, letter from bottle_pass"
                + " where token = ? and revoked_at is null",
            (row, number) ->
                new Found(
                    row.getObject(1, UUID.class),
                    row.getObject(2, UUID.class),
                    row.getObject(3, UUID.class),
                    row.getString(4)),
            token)
        .stream()
        .findFirst()
        .orElse(null);
  }

  private Held held(Found pass) {
    return new Held(code("batch", pass.batch()), code("product", pass.product()), pass.letter());
  }

  private @Nullable String code(String table, @Nullable UUID id) {
    return id == null
        ? null
        : jdbc.queryForObject("select code from " + table + " where id = ?", String.class, id);
  }
}
