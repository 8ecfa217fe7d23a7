# Who of the running processes is ours. Sourced.

# left_of FILE: pids of the process group that FILE names (leader, when it started, program), where they are still that
# program and not older: a number that a stranger has by now is never named.
left_of() {
  local leader start program pid
  [ -f "$1" ] || return 0
  read -r leader start program <"$1" || return 0
  # Fields of /proc/PID/stat (proc(5)) after the name in brackets: 3 is the process group, 20 when it started.
  { cat /proc/[0-9]*/stat 2>/dev/null || true; } | awk -v g="$leader" -v s="$start" '{ pid = $1; sub(/^.*\) /, ""); if ($3 == g && $20 >= s) print pid }' | while read -r pid; do
    case $(readlink "/proc/$pid/exe" 2>/dev/null) in */"$program" | */"$program (deleted)") echo "$pid" ;; esac
  done
}

# end_left FILE SIGNAL: ends what FILE names. PostgreSQL is given its time; the others, ten seconds.
end_left() {
  local pids
  pids=$(left_of "$1")
  [ -z "$pids" ] && { rm -f "$1"; return 0; }
  kill -s "$2" $pids 2>/dev/null || true
  for _ in $(seq 100); do
    pids=$(left_of "$1")
    [ -z "$pids" ] && { rm -f "$1"; return 0; }
    sleep 0.1
  done
  [ "$2" = INT ] || kill -s KILL $pids 2>/dev/null || true
  rm -f "$1"
}
