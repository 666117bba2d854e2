# shellcheck shell=bash
# Shared by the commands in bin/: the household's network. Sourced after common.sh, not run.

# The name of this machine in the household's network.
house_name() {
  local name
  name=$(hostname -s 2>/dev/null | tr 'A-Z' 'a-z' | tr -cd 'a-z0-9-')
  case "$name" in '' | localhost) name=velvetcrock ;; esac
  printf '%s.local' "$name"
}

# The networks that this machine is in, as ADDRESS/BITS OWN-ADDRESS a line.
house_networks() {
  ip -4 route show proto kernel scope link | sed -n 's/^\([0-9./]*\) .*src \([0-9.]*\).*/\1 \2/p'
}

# What netmask so many bits are.
netmask() {
  local bits=$1 mask=$((0xffffffff << (32 - $1) & 0xffffffff))
  printf '%d.%d.%d.%d' $((mask >> 24)) $((mask >> 16 & 255)) $((mask >> 8 & 255)) $((mask & 255))
}

# Makes the authority of the house in DIR/house, unless it is there for NAME: a root that may vouch for NAME and
# the household's own networks alone, and whose key nobody needs once it has signed the authority that serves.
authority_create() {
  local dir=$1/house name=$2 network
  [ -s "$dir/root.crt" ] && [ "$(cat "$dir/name")" = "$name" ] && return
  rm -rf "$dir"
  (
    umask 077
    mkdir -p "$dir"
    {
      printf 'permitted;DNS:%s\n' "$name"
      house_networks | while read -r network _; do
        printf 'permitted;IP:%s/%s\n' "${network%/*}" "$(netmask "${network#*/}")"
      done
    } >"$dir/permitted"
    {
      printf '[dn]\n[root]\nbasicConstraints=critical,CA:TRUE,pathlen:1\nkeyUsage=critical,keyCertSign,cRLSign\n'
      printf 'subjectKeyIdentifier=hash\nnameConstraints=critical,%s\n' "$(paste -sd, "$dir/permitted")"
      printf '[serving]\nbasicConstraints=critical,CA:TRUE,pathlen:0\nkeyUsage=critical,keyCertSign,cRLSign\n'
      printf 'subjectKeyIdentifier=hash\nauthorityKeyIdentifier=keyid\n'
    } >"$dir/openssl.cnf"
    openssl ecparam -name prime256v1 -genkey -noout -out "$dir/root.key"
    openssl req -x509 -new -key "$dir/root.key" -days 3650 -subj "/CN=Velvet Crock of $name" \
      -config <(printf '[req]\ndistinguished_name=dn\n'; cat "$dir/openssl.cnf") -extensions root -out "$dir/root.crt"
    openssl ecparam -name prime256v1 -genkey -noout -out "$dir/serving.key"
    openssl req -new -key "$dir/serving.key" -subj "/CN=Velvet Crock of $name, serving" \
      -config <(printf '[req]\ndistinguished_name=dn\n[dn]\n') -out "$dir/serving.csr"
    openssl x509 -req -in "$dir/serving.csr" -CA "$dir/root.crt" -CAkey "$dir/root.key" -CAcreateserial -days 3650 \
      -extfile "$dir/openssl.cnf" -extensions serving -out "$dir/serving.crt"
    rm -f "$dir/serving.csr" "$dir/root.key"
    printf '%s' "$name" >"$dir/name"
  ) 2>"$1/house.log" || fail "The certificate of the house could not be made; see $1/house.log"
  rm -f "$1/house.log"
}

# The addresses of this machine that the authority of DIR may vouch for.
house_addresses() {
  local permitted network own
  permitted=$(cat "$1/house/permitted")
  house_networks | while read -r network own; do
    case "$permitted" in *"permitted;IP:${network%/*}/$(netmask "${network#*/}")"*) printf '%s\n' "$own" ;; esac
  done
}

# What phones are handed: the certificate as a file, and as a profile for those that want one.
certificate_files() {
  local dir=$1/house name=$2 out=$1/house/handed-out
  mkdir -p "$out"
  openssl x509 -in "$dir/root.crt" -outform der -out "$out/certificate.crt"
  openssl x509 -in "$dir/root.crt" -noout -fingerprint -sha256 | sed 's/.*=//' | tr : ' ' >"$out/fingerprint"
  cat >"$out/profile.mobileconfig" <<PROFILE
<?xml version="1.0" encoding="UTF-8"?>
<plist version="1.0">
<dict>
  <key>PayloadType</key><string>Configuration</string>
  <key>PayloadVersion</key><integer>1</integer>
  <key>PayloadIdentifier</key><string>$name</string>
  <key>PayloadUUID</key><string>$(uuid_of "$name profile")</string>
  <key>PayloadDisplayName</key><string>Velvet Crock of $name</string>
  <key>PayloadDescription</key><string>Lets this phone know the kitchen at $name, and no other site.</string>
  <key>PayloadContent</key>
  <array>
    <dict>
      <key>PayloadType</key><string>com.apple.security.root</string>
      <key>PayloadVersion</key><integer>1</integer>
      <key>PayloadIdentifier</key><string>$name.root</string>
      <key>PayloadUUID</key><string>$(uuid_of "$name root")</string>
      <key>PayloadDisplayName</key><string>Velvet Crock of $name</string>
      <key>PayloadContent</key>
      <data>$(base64 -w 0 "$out/certificate.crt")</data>
    </dict>
  </array>
</dict>
</plist>
PROFILE
}

# The same identifier each time for the same words.
uuid_of() { printf '%s' "$1" | sha256sum | sed 's/^\(.\{8\}\)\(.\{4\}\)\(.\{4\}\)\(.\{4\}\)\(.\{12\}\).*/\1-\2-\3-\4-\5/'; }

# How the house is served: HTTPS under its name and addresses to the application on PORT; plain HTTP hands out
# the certificate and its fingerprint, and leads to HTTPS. Usage: caddyfile DIR NAME PORT
caddyfile() {
  local dir=$1 name=$2 port=$3 address hosts=$2
  for address in $(house_addresses "$dir"); do hosts="$hosts $address"; done
  cat <<CADDYFILE
{
	admin off
	auto_https disable_redirects
	skip_install_trust
	storage file_system $dir/house/caddy
	pki {
		ca local {
			name "Velvet Crock of $name"
			root {
				format pem_file
				cert $dir/house/root.crt
				key $dir/house/serving.key
			}
			intermediate {
				format pem_file
				cert $dir/house/serving.crt
				key $dir/house/serving.key
			}
		}
	}
	servers {
		protocols h1 h2
	}
	log {
		level WARN
	}
}

(handed-out) {
	root * $dir/house/handed-out
	@profile {
		path /certificate
		header_regexp User-Agent "iPhone|iPad"
	}
	handle @profile {
		rewrite * /profile.mobileconfig
		header Content-Type application/x-apple-aspen-config
		file_server
	}
	handle /certificate {
		rewrite * /certificate.crt
		header Content-Type application/x-x509-ca-cert
		header Content-Disposition "attachment; filename=velvet-crock.crt"
		file_server
	}
	handle /fingerprint {
		header Content-Type "text/plain; charset=utf-8"
		file_server
	}
}

$(for address in $hosts; do printf 'https://%s ' "$address"; done | sed 's/ $//; s/ /, /g') {
	tls internal
	# Were the authority lost, a phone that insists on HTTPS for a year could not take the new one.
	header {
		Strict-Transport-Security max-age=86400
		defer
	}
	import handed-out
	handle {
		reverse_proxy 127.0.0.1:$port
	}
}

$(for address in $hosts; do printf 'http://%s ' "$address"; done | sed 's/ $//; s/ /, /g') {
	import handed-out
	handle {
		redir https://$name{uri} 308
	}
}

https:// {
	tls internal
	respond 421
}

http:// {
	respond 421
}
CADDYFILE
}

# What the application is told of the house of DIR: sets open_to, and whose word on addresses it takes.
open_house() {
  local dir=$1 name=$2
  open_to=("--velvetcrock.origin=https://$name" "--velvetcrock.addresses=$(house_addresses "$dir" | paste -sd,)"
    "--velvetcrock.certificate=$dir/house/root.crt")
  export VELVETCROCK_FORWARDED=native
}

# Hands Caddy what it needs to serve the house of DIR, and nothing that others may read. Usage: for_caddy DIR NAME PORT
for_caddy() {
  local dir=$1/house
  caddyfile "$@" >"$dir/Caddyfile"
  mkdir -p "$dir/caddy"
  chmod 711 "$1" "$dir"
  chmod -R a+rX "$dir/handed-out"
  chmod 644 "$dir/name" "$dir/permitted" "$dir/root.crt" "$dir/serving.crt" "$dir/Caddyfile"
  chown -R caddy "$dir/caddy" "$dir/serving.key"
}

# Serves the house of DIR until it is ended: as nobody who may do anything else, but for the two ports.
serve_house() {
  local dir=$1/house
  exec env HOME="$dir/caddy" XDG_DATA_HOME="$dir/caddy" XDG_CONFIG_HOME="$dir/caddy" \
    setpriv --pdeathsig TERM --reuid caddy --regid caddy --clear-groups --no-new-privs \
    --bounding-set -all,+net_bind_service --inh-caps -all,+net_bind_service --ambient-caps -all,+net_bind_service \
    caddy run --config "$dir/Caddyfile" --adapter caddyfile >"$dir/caddy.log" 2>&1
}
