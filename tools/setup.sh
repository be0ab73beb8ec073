# Sourced by ./phalanx and ./check: installs what the machine lacks, where it may.

WINDOW_PACKAGES="libgtk-3-0 libgl1 libxtst6 libxxf86vm1 libfreetype6 libpango-1.0-0 fontconfig xvfb xauth x11-utils"

# Runs a command as root if that needs no password; fails otherwise.
as_root() {
    if [ "$(id -u)" = 0 ]; then
        "$@"
    elif command -v sudo >/dev/null && sudo -n true 2>/dev/null; then
        sudo -n "$@"
    else
        return 1
    fi
}

# Lets files have names in any script: where the system's language knows no UTF-8, Java cannot name them.
allow_all_names() {
    if [ "$(locale charmap 2>/dev/null)" != UTF-8 ]; then
        export LC_ALL=C.UTF-8
    fi
}

need_java() {
    if ! command -v java >/dev/null || ! command -v mvn >/dev/null; then
        echo "Phalanx needs a JDK 17 and Maven; on Debian: apt-get install openjdk-17-jdk maven" >&2
        exit 1
    fi
}

# The system libraries a window needs, and a virtual display for machines without a monitor.
need_window() {
    local gtk
    gtk=$(PATH=$PATH:/sbin:/usr/sbin ldconfig -p 2>/dev/null | grep -c 'libgtk-3.so.0' || true)
    if [ "$gtk" != 0 ] && command -v Xvfb >/dev/null && command -v xauth >/dev/null; then
        return
    fi
    if ! command -v apt-get >/dev/null; then
        echo "Phalanx needs GTK 3 and, without a monitor, Xvfb: install them with your package manager." >&2
        return
    fi
    echo "Installing the system libraries of the window …" >&2
    if ! { as_root apt-get update -qq &&
        as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq $WINDOW_PACKAGES; } >/dev/null; then
        echo "Could not install them here. As root, run: apt-get install $WINDOW_PACKAGES" >&2
        exit 1
    fi
}

# Another program's eye on the sound files; without it that one test is skipped.
need_sox() {
    if command -v sox >/dev/null || ! command -v apt-get >/dev/null; then
        return
    fi
    if ! { as_root apt-get update -qq &&
        as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq sox; } >/dev/null 2>&1; then
        echo "sox is not installed: sound files are not read by another program." >&2
    fi
}

# What makes packages: jpackage is in the JDK, a .deb needs Debian’s own tools.
need_packaging() {
    if ! command -v jpackage >/dev/null || ! command -v jlink >/dev/null; then
        echo "Packages need the whole JDK 17 (jpackage, jlink, jmods); on Debian: apt-get install openjdk-17-jdk" >&2
        exit 1
    fi
    if [ "$(uname -s)" = Linux ] && ! command -v dpkg-deb >/dev/null; then
        echo "A .deb needs dpkg-deb; on Debian it is there, elsewhere install dpkg." >&2
        exit 1
    fi
    if [ "$(uname -s)" = Linux ] && ! command -v objcopy >/dev/null && command -v apt-get >/dev/null; then
        { as_root apt-get update -qq && as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq binutils; } >/dev/null 2>&1 || true
    fi
}
