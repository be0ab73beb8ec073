import java.io.File;
import java.io.FileOutputStream;
import java.util.Enumeration;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;

/** Leaves of the database's native libraries only those of this system: java tools/TrimNatives.java JAR. */
public final class TrimNatives {

  private static final String NATIVE = "org/sqlite/native/";

  public static void main(String[] args) throws Exception {
    File jar = new File(args[0]);
    File trimmed = new File(args[0] + ".trimmed");
    try (ZipFile in = new ZipFile(jar);
        ZipOutputStream out = new ZipOutputStream(new FileOutputStream(trimmed))) {
      for (Enumeration<? extends ZipEntry> all = in.entries(); all.hasMoreElements(); ) {
        ZipEntry entry = all.nextElement();
        if (!entry.getName().startsWith(NATIVE) || entry.getName().startsWith(NATIVE + here())) {
          ZipEntry copy = new ZipEntry(entry.getName());
          copy.setTime(entry.getTime());
          out.putNextEntry(copy);
          in.getInputStream(entry).transferTo(out);
          out.closeEntry();
        }
      }
    }
    if (!jar.delete() || !trimmed.renameTo(jar)) {
      throw new IllegalStateException("cannot replace " + jar);
    }
  }

  private static String here() {
    String os = System.getProperty("os.name").toLowerCase(Locale.ROOT);
    String system = os.contains("mac") ? "Mac" : os.contains("win") ? "Windows" : "Linux";
    String arch = System.getProperty("os.arch");
    return system + "/" + (arch.equals("amd64") ? "x86_64" : arch) + "/";
  }
}
