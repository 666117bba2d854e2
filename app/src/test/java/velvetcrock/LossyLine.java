package velvetcrock;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * A line to the application that carries a request and loses its answer, as often as it is told to,
 * that can hold a request back, and that can be cut.
 */
final class LossyLine implements AutoCloseable {
  private static final int PATIENCE_S = 60;

  private final ServerSocket door;
  private final int to;
  private final String start;
  private final AtomicInteger toLose;
  private final Set<Socket> open = ConcurrentHashMap.newKeySet();
  private volatile boolean cut;
  private volatile String held = "nothing";
  private final CountDownLatch holding = new CountDownLatch(1);
  private final CountDownLatch letGo = new CountDownLatch(1);
  private final ExecutorService threads = Executors.newCachedThreadPool();

  /**
   * Opens it.
   *
   * @param start how a request begins whose answer is lost
   * @param times how many answers are lost
   */
  LossyLine(int to, String start, int times) throws IOException {
    this.to = to;
    this.start = start;
    this.toLose = new AtomicInteger(times);
    this.door = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
    threads.submit(this::open);
  }

  int port() {
    return door.getLocalPort();
  }

  /** How many answers are still to be lost. */
  int left() {
    return Math.max(0, toLose.get());
  }

  /** From here on nothing comes through, until it is mended. */
  void cut() throws IOException {
    cut = true;
    for (Socket one : open) {
      one.close();
    }
    open.clear();
  }

  void mend() {
    cut = false;
  }

  /** From here on a request that begins so is held back, until all are let go. */
  void hold(String start) {
    held = start;
  }

  /** Waits until one is held back. */
  void awaitHeld() throws InterruptedException {
    if (!holding.await(PATIENCE_S, TimeUnit.SECONDS)) {
      throw new IllegalStateException("Nothing asked for " + held);
    }
  }

  void letGo() {
    letGo.countDown();
  }

  private Void open() throws IOException {
    while (!door.isClosed()) {
      Socket near = door.accept();
      open.add(near);
      if (cut) {
        near.close();
        continue;
      }
      Socket far = new Socket(InetAddress.getLoopbackAddress(), to);
      AtomicBoolean losing = new AtomicBoolean();
      threads.submit(() -> requests(near, far, losing));
      threads.submit(() -> answers(far, near, losing));
    }
    return null;
  }

  private Void requests(Socket near, Socket far, AtomicBoolean losing)
      throws IOException, InterruptedException {
    byte[] bytes = new byte[65_536];
    int read;
    while ((read = near.getInputStream().read(bytes)) >= 0) {
      String asked = new String(bytes, 0, read, StandardCharsets.ISO_8859_1);
      if (asked.startsWith(start) && toLose.getAndDecrement() > 0) {
        losing.set(true);
      }
      if (asked.startsWith(held)) {
        holding.countDown();
        letGo.await();
      }
      far.getOutputStream().write(bytes, 0, read);
    }
    return null;
  }

  /** The line breaks when the house answers: it has read all of the request by then. */
  private static Void answers(Socket far, Socket near, AtomicBoolean losing) throws IOException {
    byte[] bytes = new byte[65_536];
    int read;
    while ((read = far.getInputStream().read(bytes)) >= 0) {
      if (losing.get()) {
        break;
      }
      near.getOutputStream().write(bytes, 0, read);
    }
    near.close();
    far.close();
    return null;
  }

  @Override
  public void close() throws IOException {
    door.close();
    threads.shutdownNow();
  }
}
