package velvetcrock.colour;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Written;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.Coloured;
import velvetcrock.core.colour.Rgb;
import velvetcrock.kitchen.Quotas;
import velvetcrock.web.NotFound;
import velvetcrock.web.Picture;

/** Colours and pictures from what was picked, sent and tapped to entries in the log. */
@Service
class Colours {
  private final BatchActs acts;
  private final LookPhotoRepository photos;
  private final Quotas quotas;
  private final Clock clock;

  Colours(BatchActs acts, LookPhotoRepository photos, Quotas quotas, Clock clock) {
    this.quotas = quotas;
    this.acts = acts;
    this.photos = photos;
    this.clock = clock;
  }

  /**
   * What a picture says of a colour.
   *
   * @param oil as pictured
   * @param card the white card as pictured; null where there was none
   * @param colour the oil's, corrected by the card
   */
  record Measured(Rgb oil, @Nullable Rgb card, Rgb colour) {}

  /**
   * Keeps a picture.
   *
   * @param at when it was taken; now if null
   * @param key names it, so that one that is sent twice is kept once
   * @throws Refused at {@code photo}
   */
  @Transactional
  UUID keep(BatchRecord batch, @Nullable MultipartFile file, @Nullable Instant at, String key) {
    UUID id = id(batch, key);
    if (photos.existsById(id)) {
      return id;
    }
    Instant taken = at == null ? clock.instant() : at;
    byte[] jpeg = Picture.sent(file).jpeg();
    quotas.photo(jpeg);
    return photos.save(new LookPhoto(id, batch.id(), jpeg, taken)).id();
  }

  private static UUID id(BatchRecord batch, String key) {
    return key.isEmpty()
        ? UUID.randomUUID()
        : UUID.nameUUIDFromBytes((batch.id() + "/" + key).getBytes(StandardCharsets.UTF_8));
  }

  /**
   * A batch's picture.
   *
   * @throws NotFound if there is none such
   */
  @Transactional(readOnly = true)
  LookPhoto photo(BatchRecord batch, UUID id) {
    return photos
        .findById(id)
        .filter(p -> p.batchId().equals(batch.id()))
        .orElseThrow(() -> new NotFound("There is no such picture of " + batch.code() + "."));
  }

  /**
   * Measures a colour.
   *
   * @param shownWide how wide the picture was shown when it was tapped, px
   * @throws Refused at {@code card} if what was tapped is no white card
   */
  Measured measure(LookPhoto photo, Tap oil, Optional<Tap> card, int shownWide) {
    Picture picture = Picture.kept(photo.jpeg());
    Rgb seen = at(picture, oil, shownWide);
    Rgb white = card.map(tap -> at(picture, tap, shownWide)).orElse(null);
    return new Measured(seen, white, white == null ? seen : seen.corrected(white));
  }

  private static Rgb at(Picture picture, Tap tap, int shownWide) {
    double high = (double) picture.height() * shownWide / picture.width();
    return picture.around(Math.min(1, tap.x() / (double) shownWide), Math.min(1, tap.y() / high));
  }

  /** Writes a colour into the log. */
  Written log(
      BatchRecord batch,
      Rgb colour,
      boolean plain,
      @Nullable UUID photo,
      @Nullable Instant at,
      String key) {
    return acts.append(batch.code(), new Coloured(colour, plain, photo), at, null, key);
  }
}
