package phalanx.fuzz;

import java.util.List;

/** Pieces of text that mean something to a reader, put in where they do not belong. */
final class JobWords {

  static final List<String> CHART =
      List.of(
          "|", "|:", ":|", "|1", "|2 ", "x3", "%", "=2", "@3/4", "G", ".", "7/8", "N.C.", "|1,2",
          "|1-3 ");

  static final List<String> CHORD =
      List.of(
          "m", "maj7", "7", "sus4", "b5", "#9", "add9", "no3", "/G", "(", ")", "6", "13", "o",
          "alt", "+", "5", "-");

  static final List<String> PATTERN =
      List.of(
          "name: x\n",
          "order: A A B\n",
          "bar: A\n",
          "metre: 3/4\n",
          "thumb | o | o |\n",
          "o",
          "|",
          "o~3",
          "o:pm",
          "p:slap,t7",
          "6-1n",
          "/",
          ">",
          "(o)",
          "A ");

  static final List<String> CHORDPRO =
      List.of(
          "{sog}\n",
          "{eog}\n",
          "{time: 7/8}\n",
          "{key: F#m}",
          "{capo: 3}",
          "{tempo: 90}",
          "| C . |\n",
          "label=\"",
          "{",
          "}",
          "#",
          "{start_of_grid: A}");

  static final List<String> WORDS =
      List.of(
          "[C]",
          "[",
          "]",
          "{soc}",
          "{eoc}\n",
          "{define: C ",
          "Key: F#\n",
          "| C |",
          "Am7  ",
          "\n\n",
          "[Chorus]\n",
          "N.C.",
          "bVII",
          "4m",
          "(x2)",
          "\t");

  static final List<String> ABC =
      List.of(
          "K:",
          "M:9/8\n",
          "[K:F#m]",
          "[M:",
          "|:",
          ":|",
          "::",
          "[1",
          "|2",
          "(3",
          "(5:4:7",
          ">",
          "<<",
          "{a}",
          "-",
          "w:la-la\n",
          "Z99",
          "\"Bb7\"",
          "\"^x\"",
          "[CEG]",
          "^^c'",
          "_B,,",
          "7/16",
          "//",
          "!f!");

  static final List<String> TAB =
      List.of(
          "|",
          "---",
          "h",
          "p",
          "/",
          "~",
          "<12>",
          "12",
          "x",
          "b",
          "e|",
          "1 & 2 &\n",
          "PM---\n",
          "Am7",
          "\n",
          ":|",
          "pm",
          "24");

  static final List<String> JSON =
      List.of(
          "{",
          "}",
          "[",
          "]",
          "null",
          "true",
          "\"id\":",
          "\"like\" : 1,",
          "\"tick\":",
          "\"chord\" : \"C57\"",
          "\"notes\" : \"g20\"",
          "\"tuning\"",
          "\"E13\"",
          "\"order: A A A\"",
          "\"plays\" : 16,",
          "\"meter\" : \"32/2\",",
          "\"bars\" : [");

  static final List<String> SCORE =
      List.of(
          "<note>",
          "</note>",
          "<chord/>",
          "<grace/>",
          "<cue/>",
          "<rest/>",
          "<voice>2</voice>",
          "<staff>2</staff>",
          "<backup><duration>12</duration></backup>",
          "<forward><duration>12</duration></forward>",
          "<barline location=\"left\"><repeat direction=\"backward\"/></barline>",
          "<barline><repeat direction=\"forward\"/></barline>",
          "<barline><ending number=\"1, 2\" type=\"start\"/></barline>",
          "<sound dacapo=\"yes\"/>",
          "<sound dalsegno=\"a\"/>",
          "<sound tocoda=\"a\"/>",
          "<direction><direction-type><words>D.C. al Fine</words></direction-type></direction>",
          "<transpose><chromatic>5</chromatic></transpose>",
          "<time><beats>3+2</beats><beat-type>8</beat-type></time>",
          "<string/>",
          "<offset/>",
          "<staff-tuning line=\"1\"/>",
          "<measure number=\"9\">",
          "</measure>",
          "<duration>",
          "<harmony><root><root-step>C</root-step></root><kind>neapolitan</kind></harmony>",
          "<octave>9</octave>",
          "<tie type=\"stop\"/>",
          "<measure-style><measure-repeat type=\"start\">1</measure-repeat></measure-style>");

  private JobWords() {}
}
