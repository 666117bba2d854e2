import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.net.DatagramPacket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.MulticastSocket;
import java.net.NetworkInterface;
import java.net.SocketTimeoutException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;

/**
 * Asks a network, as a phone does, which machine has a name that ends in .local (multicast DNS, RFC 6762), and prints
 * its address. Words: NAME INTERFACE
 */
class Name {
  private static final int PORT = 5353;
  private static final int TIMES = 10;
  private static final int PATIENCE_MS = 1000;
  private static final int ADDRESS = 1;
  private static final int INTERNET = 1;
  private static final int POINTER = 0xC0;

  public static void main(String[] args) throws Exception {
    InetSocketAddress everybody = new InetSocketAddress(InetAddress.getByName("224.0.0.251"), PORT);
    try (MulticastSocket socket = new MulticastSocket()) {
      socket.setNetworkInterface(NetworkInterface.getByName(args[1]));
      socket.setSoTimeout(PATIENCE_MS);
      byte[] question = question(args[0]);
      for (int i = 0; i < TIMES; i++) {
        socket.send(new DatagramPacket(question, question.length, everybody));
        DatagramPacket answer = new DatagramPacket(new byte[9000], 9000);
        try {
          socket.receive(answer);
          System.out.println(address(ByteBuffer.wrap(answer.getData(), 0, answer.getLength())));
          return;
        } catch (SocketTimeoutException nobody) {
          // asked again
        }
      }
      System.out.println("nobody answers to " + args[0]);
    }
  }

  private static byte[] question(String name) throws Exception {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    DataOutputStream out = new DataOutputStream(bytes);
    for (int word : new int[] {0, 0, 1, 0, 0, 0}) {
      out.writeShort(word);
    }
    for (String label : name.split("\\.")) {
      out.writeByte(label.length());
      out.write(label.getBytes(StandardCharsets.US_ASCII));
    }
    out.writeByte(0);
    out.writeShort(ADDRESS);
    out.writeShort(INTERNET);
    return bytes.toByteArray();
  }

  private static String address(ByteBuffer answer) {
    answer.position(4);
    int questions = answer.getShort();
    int answers = answer.getShort();
    answer.position(12);
    for (int i = 0; i < questions; i++) {
      skipName(answer);
      answer.getInt();
    }
    for (int i = 0; i < answers; i++) {
      skipName(answer);
      int type = answer.getShort();
      answer.getShort();
      answer.getInt();
      byte[] data = new byte[answer.getShort()];
      answer.get(data);
      if (type == ADDRESS) {
        return (data[0] & 255) + "." + (data[1] & 255) + "." + (data[2] & 255) + "." + (data[3] & 255);
      }
    }
    return "no address among the answers";
  }

  private static void skipName(ByteBuffer in) {
    for (int length = in.get() & 255; length != 0; length = in.get() & 255) {
      if ((length & POINTER) == POINTER) {
        in.get();
        return;
      }
      in.position(in.position() + length);
    }
  }
}
