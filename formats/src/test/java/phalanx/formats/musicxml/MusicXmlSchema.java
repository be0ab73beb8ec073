package phalanx.formats.musicxml;

import java.io.InputStream;
import java.io.StringReader;
import javax.xml.XMLConstants;
import javax.xml.transform.stream.StreamSource;
import javax.xml.validation.Schema;
import javax.xml.validation.SchemaFactory;
import javax.xml.validation.Validator;
import org.audiveris.proxymusic.Note;
import org.w3c.dom.ls.LSInput;
import org.w3c.dom.ls.LSResourceResolver;

/** The MusicXML 4.0 schema that the binding library carries. */
final class MusicXmlSchema {

  private static final Schema SCHEMA = load();

  private MusicXmlSchema() {}

  private static Schema load() {
    SchemaFactory factory = SchemaFactory.newInstance(XMLConstants.W3C_XML_SCHEMA_NS_URI);
    factory.setResourceResolver(new EmptyImports());
    try (InputStream in = Note.class.getResourceAsStream("/META-INF/jaxb/xsd/musicxml.xsd")) {
      return factory.newSchema(new StreamSource(in));
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  static Validator validator() {
    return SCHEMA.newValidator();
  }

  /** Fails where a document does not fit. */
  static void validate(String xml) throws Exception {
    validator().validate(new StreamSource(new StringReader(xml)));
  }

  /** The schema imports two small ones from the net: what it uses of them is declared here. */
  private static final class EmptyImports implements LSResourceResolver {

    private static final String XML =
        "<xs:schema xmlns:xs='http://www.w3.org/2001/XMLSchema' targetNamespace='http://www.w3.org/XML/1998/namespace'>"
            + "<xs:attribute name='lang' type='xs:language'/><xs:attribute name='space' type='xs:NCName'/></xs:schema>";
    private static final String XLINK =
        "<xs:schema xmlns:xs='http://www.w3.org/2001/XMLSchema' targetNamespace='http://www.w3.org/1999/xlink'>"
            + "<xs:attribute name='href' type='xs:anyURI'/><xs:attribute name='type' type='xs:string'/>"
            + "<xs:attribute name='role' type='xs:token'/><xs:attribute name='title' type='xs:token'/>"
            + "<xs:attribute name='show' type='xs:token'/><xs:attribute name='actuate' type='xs:token'/></xs:schema>";

    @Override
    public LSInput resolveResource(String type, String ns, String id, String system, String base) {
      try {
        LSInput input =
            ((org.w3c.dom.ls.DOMImplementationLS)
                    org.w3c.dom.bootstrap.DOMImplementationRegistry.newInstance()
                        .getDOMImplementation("LS"))
                .createLSInput();
        input.setSystemId(system);
        input.setCharacterStream(new StringReader(ns.endsWith("namespace") ? XML : XLINK));
        return input;
      } catch (ReflectiveOperationException e) {
        throw new IllegalStateException(e);
      }
    }
  }
}
