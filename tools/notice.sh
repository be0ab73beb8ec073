#!/usr/bin/env bash
# Writes the list of what ships into NOTICE, from the dependencies as Maven resolves them and the licences their
# own descriptions name. Run after a dependency has changed; the build checks that the list is true (NoticeTest).
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$here"
rm -rf {cli,desktop}/target/generated-sources/license
mvn -B -q install -DskipTests -pl cli,desktop -am
mvn -B -q org.codehaus.mojo:license-maven-plugin:2.5.0:add-third-party -pl cli,desktop -Dlicense.excludedScopes=test,provided
{
    sed '/^Libraries:$/,$d' NOTICE
    echo "Libraries:"
    cat {cli,desktop}/target/generated-sources/license/THIRD-PARTY.txt |
        grep -E '^ +\(' | grep -v '(phalanx:' |
        sed -E 's/^ +((\([^()]*(\([^()]*\))?[^()]*\) ?)+).*\(([^():]+:[^():]+):([^ ]+) - .*/- \4 \5: \1/; s/ +$//' | sort -u
} >NOTICE.new
mv NOTICE.new NOTICE
