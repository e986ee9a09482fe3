# TLS for the workshop's network: an authority of the studio's own, made on the spot, and a certificate for the names this machine has now.
# Sourced by ./itinerum; `home` is the data set's folder. Needs Debian's openssl.

# This machine as others call it: its addresses, then its name, or what ITINERUM_LAN_NAMES says, by commas; a line each.
lan_names() {
  [ -z "${ITINERUM_LAN_NAMES:-}" ] || { echo "$ITINERUM_LAN_NAMES" | tr ',' '\n'; return; }
  hostname -I 2>/dev/null | tr ' ' '\n' | grep -E '^[0-9.]+$' | grep -v '^127\.' || true
  echo "$(hostname | cut -d. -f1 | tr '[:upper:]' '[:lower:]').local"
}
# The authority signs for the workshop's own network and nothing beyond it: whoever stole it could stand in for no other site.
make_authority() {
  local names=$1 permitted='permitted;IP:10.0.0.0/255.0.0.0,permitted;IP:172.16.0.0/255.240.0.0,permitted;IP:192.168.0.0/255.255.0.0,permitted;DNS:local' each
  for each in $names; do case "$each" in *.local) ;; *[a-z]*) permitted="$permitted,permitted;DNS:$each" ;; *) permitted="$permitted,permitted;IP:$each/255.255.255.255" ;; esac; done
  openssl ecparam -name prime256v1 -genkey -noout -out ca.key.new &&
    openssl req -x509 -new -key ca.key.new -sha256 -days 3650 -out ca.crt.new -subj "/CN=Itinerum on $(hostname)" \
      -addext basicConstraints=critical,CA:TRUE,pathlen:0 -addext keyUsage=critical,keyCertSign,cRLSign -addext "nameConstraints=critical,$permitted" &&
    mv ca.key.new ca.key && mv ca.crt.new ca.crt
}
make_certificate() {
  local names=$1 san= each
  for each in $names; do case "$each" in *[a-z]*) san="$san,DNS:$each" ;; *) san="$san,IP:$each" ;; esac; done
  printf 'basicConstraints=critical,CA:FALSE\nkeyUsage=critical,digitalSignature\nextendedKeyUsage=serverAuth\nsubjectAltName=%s\n' "${san#,}" > server.ext
  openssl ecparam -name prime256v1 -genkey -noout -out server.key.new &&
    openssl req -new -key server.key.new -subj "/CN=Itinerum" -out server.csr &&
    openssl x509 -req -in server.csr -CA ca.crt -CAkey ca.key -CAcreateserial -sha256 -days 397 -extfile server.ext -out server.crt.new &&
    mv server.key.new server.key && mv server.crt.new server.crt && rm -f server.csr server.ext && echo "$names" > names
}
authority_print() { [ ! -s "$home/tls/ca.crt" ] || cksum "$home/tls/ca.crt"; }
# Whether what there is stands for every name: the one question that decides, whatever was made before.
tls_stands() { # NAMES
  [ "$(cat names 2>/dev/null)" = "$1" ] && openssl verify -CAfile ca.crt server.crt && openssl x509 -in server.crt -noout -checkend 2592000
}
# Sees that there is a certificate for every name this machine has; the authority stays, so that phones which trust it go on.
need_certificates() {
  need_openssl
  local before
  before=$(authority_print)
  (
    umask 077
    mkdir -p "$home/tls" && cd "$home/tls" || exit 1
    names=$(lan_names)
    {
      { [ -s ca.crt ] && openssl x509 -in ca.crt -noout -checkend 31536000; } || make_authority "$names"
      tls_stands "$names" || make_certificate "$names"
      # an address that the authority does not sign for: another authority
      tls_stands "$names" || { make_authority "$names" && make_certificate "$names"; }
      tls_stands "$names"
    } >tls.log 2>&1
  ) || fail "no certificate could be made; see $home/tls/tls.log"
  [ -z "$before" ] || [ "$before" = "$(authority_print)" ] ||
    say 'The authority of before is over, or does not sign for where this machine is now: another one was made. Each phone trusts it anew, at /trust.'
}
# Whether this machine has an address that its certificate does not have; one that went does no harm.
has_new_names() { lan_names | grep -vxFf "$home/tls/names" >/dev/null; }
