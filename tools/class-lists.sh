# Lists of the classes that a command loads, for the archives that it starts from. Sourced by ./phalanx and
# tools/list-classes.

# A lambda that a class makes in several places is listed as often as it is made: each time the archive is asked, it
# gives another one. Numbered, so that the same list of another run adds nothing.
numbered() { awk '/^@lambda/ { print $0 "\t" ++times[$0]; next } { print }' "$1"; }

# A plan as a page and as data, each of which has classes of its own: command_list JAVA CLASSPATH SONG. Fails where one
# of them does.
command_list() {
    local java=$1 path=$2 song=$3 home form failed=0
    home=$(mktemp -d)
    for form in --json ""; do
        "$java" -XX:TieredStopAtLevel=1 -XX:DumpLoadedClassList="$home/command$form" -Dphalanx.home="$home" \
            -cp "$path" phalanx.cli.PhalanxCommand plan "$song" $form >/dev/null &&
            numbered "$home/command$form" || failed=1
    done
    rm -rf "$home"
    return "$failed"
}

# In order, so that the same program gives the same list; hidden classes have no name to be found by, but the lambdas
# that make them are listed with the class they are in. What the compiler of the running machine looks at, or not, is
# left out: in_order LIST.
in_order() {
    grep -v -e '^#' -e '^@' -e '0x' -e '\$\$Lambda' -e '^jdk/internal/access/foreign/' "$1" | sed 's/ .*//' |
        LC_ALL=C sort -u
    grep '^@lambda' "$1" | LC_ALL=C sort -u | sed 's/\t.*//'
}
