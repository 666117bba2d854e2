package velvetcrock;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigInteger;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PublicKey;
import java.security.SecureRandom;
import java.security.Signature;
import java.security.interfaces.ECPublicKey;
import java.security.spec.ECGenParameterSpec;
import java.security.spec.ECPoint;
import java.security.spec.ECPublicKeySpec;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import javax.crypto.Cipher;
import javax.crypto.KeyAgreement;
import javax.crypto.Mac;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;

/**
 * A push service with one phone: takes what is sent, checks by whom, and reads it as the phone does
 * (RFC 8188, 8291, 8292).
 */
final class PushService implements AutoCloseable {
  private static final Base64.Encoder BASE64 = Base64.getUrlEncoder().withoutPadding();
  private static final int COORDINATE = 32;
  private static final int SECRET = 16;

  private final HttpServer server;
  private final KeyPair phone;
  private final byte[] secret = new byte[SECRET];
  private final List<String> read = new CopyOnWriteArrayList<>();
  private final List<String> refused = new CopyOnWriteArrayList<>();
  private volatile int answer = 201;
  private volatile String house = "";

  PushService() throws IOException, GeneralSecurityException {
    KeyPairGenerator keys = KeyPairGenerator.getInstance("EC");
    keys.initialize(new ECGenParameterSpec("secp256r1"));
    phone = keys.generateKeyPair();
    new SecureRandom().nextBytes(secret);
    server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    server.createContext("/phone", this::take);
    server.start();
  }

  String origin() {
    return "http://127.0.0.1:" + server.getAddress().getPort();
  }

  String endpoint() {
    return origin() + "/phone/1";
  }

  String publicKey() {
    return BASE64.encodeToString(uncompressed((ECPublicKey) phone.getPublic()));
  }

  String secret() {
    return BASE64.encodeToString(secret);
  }

  /** Lets only that house call, by its public key. */
  void calledBy(String key) {
    house = key;
  }

  void answers(int status) {
    answer = status;
  }

  /** What the phone has read, in the order in which it came. */
  List<String> read() {
    return read;
  }

  /** What was wrong with what was sent. */
  List<String> refused() {
    return refused;
  }

  private void take(HttpExchange exchange) throws IOException {
    byte[] body = exchange.getRequestBody().readAllBytes();
    try {
      checkCaller(exchange.getRequestHeaders().getFirst("Authorization"));
      if (answer < 300) {
        read.add(decrypted(body));
      }
    } catch (GeneralSecurityException | RuntimeException wrong) {
      refused.add(wrong.toString());
    }
    exchange.sendResponseHeaders(refused.isEmpty() ? answer : 400, -1);
    exchange.close();
  }

  private void checkCaller(String authorization) throws GeneralSecurityException {
    String token = authorization.replaceAll(".*\\bt=([^,\\s]+).*", "$1");
    String key = authorization.replaceAll(".*\\bk=([^,\\s]+).*", "$1");
    String[] parts = token.split("\\.");
    Signature signature = Signature.getInstance("SHA256withECDSAinP1363Format");
    signature.initVerify(point(Base64.getUrlDecoder().decode(house)));
    signature.update((parts[0] + "." + parts[1]).getBytes(StandardCharsets.US_ASCII));
    String claims = new String(Base64.getUrlDecoder().decode(parts[1]), StandardCharsets.UTF_8);
    if (!key.equals(house)
        || !signature.verify(Base64.getUrlDecoder().decode(parts[2]))
        || !claims.contains("\"" + origin() + "\"")
        || !claims.contains("mailto:")) {
      throw new GeneralSecurityException("Not signed by the house: " + authorization + claims);
    }
  }

  private String decrypted(byte[] body) throws GeneralSecurityException {
    ByteBuffer in = ByteBuffer.wrap(body);
    byte[] salt = take(in, SECRET);
    in.getInt();
    byte[] sender = take(in, in.get());
    byte[] encrypted = take(in, in.remaining());
    KeyAgreement agreement = KeyAgreement.getInstance("ECDH");
    agreement.init(phone.getPrivate());
    agreement.doPhase(point(sender), true);
    byte[] info =
        together(
            "WebPush: info\0".getBytes(StandardCharsets.US_ASCII),
            uncompressed((ECPublicKey) phone.getPublic()),
            sender);
    byte[] shared = derived(secret, agreement.generateSecret(), info, COORDINATE);
    byte[] key =
        derived(
            salt,
            shared,
            "Content-Encoding: aes128gcm\0".getBytes(StandardCharsets.US_ASCII),
            SECRET);
    byte[] nonce =
        derived(salt, shared, "Content-Encoding: nonce\0".getBytes(StandardCharsets.US_ASCII), 12);
    Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
    cipher.init(
        Cipher.DECRYPT_MODE, new SecretKeySpec(key, "AES"), new GCMParameterSpec(128, nonce));
    byte[] padded = cipher.doFinal(encrypted);
    int end = padded.length - 1;
    while (padded[end] == 0) {
      end--;
    }
    return new String(padded, 0, end, StandardCharsets.UTF_8);
  }

  private static byte[] derived(byte[] salt, byte[] material, byte[] info, int length)
      throws GeneralSecurityException {
    byte[] expanded = mac(mac(salt, material), together(info, new byte[] {1}));
    return Arrays.copyOf(expanded, length);
  }

  private static byte[] mac(byte[] key, byte[] of) throws GeneralSecurityException {
    Mac mac = Mac.getInstance("HmacSHA256");
    mac.init(new SecretKeySpec(key, "HmacSHA256"));
    return mac.doFinal(of);
  }

  private static byte[] together(byte[]... parts) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    for (byte[] part : parts) {
      out.writeBytes(part);
    }
    return out.toByteArray();
  }

  private static byte[] take(ByteBuffer in, int length) {
    byte[] taken = new byte[length];
    in.get(taken);
    return taken;
  }

  private PublicKey point(byte[] uncompressed) throws GeneralSecurityException {
    BigInteger x = new BigInteger(1, Arrays.copyOfRange(uncompressed, 1, 1 + COORDINATE));
    BigInteger y =
        new BigInteger(1, Arrays.copyOfRange(uncompressed, 1 + COORDINATE, 1 + 2 * COORDINATE));
    return KeyFactory.getInstance("EC")
        .generatePublic(
            new ECPublicKeySpec(new ECPoint(x, y), ((ECPublicKey) phone.getPublic()).getParams()));
  }

  private static byte[] uncompressed(ECPublicKey key) {
    ByteBuffer out = ByteBuffer.allocate(1 + 2 * COORDINATE).put((byte) 4);
    for (BigInteger each : List.of(key.getW().getAffineX(), key.getW().getAffineY())) {
      byte[] bytes = each.toByteArray();
      int from = Math.max(0, bytes.length - COORDINATE);
      out.position(out.position() + COORDINATE - (bytes.length - from));
      out.put(bytes, from, bytes.length - from);
    }
    return out.array();
  }

  @Override
  public void close() {
    server.stop(0);
  }
}
