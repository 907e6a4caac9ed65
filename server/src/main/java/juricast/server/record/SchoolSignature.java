package juricast.server.record;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.SecureRandom;
import java.security.Signature;
import java.security.spec.NamedParameterSpec;
import juricast.server.data.CannotStart;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * What the school signs with: Ed25519 (RFC 8032). The private key is worked out from the key of the school's records, so that it lies
 * wherever that lies, and in every backup, and nowhere else.
 */
@Component
public class SchoolSignature {
    private static final byte[] FOR_SIGNING = "evidence packs".getBytes(StandardCharsets.UTF_8);

    private final KeyPair keys;

    @Autowired
    SchoolSignature(@Value("${juricast.data}") String file) {
        this(RecordKey.of(Path.of(file).toAbsolutePath())
                .orElseThrow(() -> new CannotStart(
                        "The key of the school's records is not there", "Put it back from where it is kept.")));
    }

    SchoolSignature(RecordKey key) {
        try {
            byte[] seed = key.code(FOR_SIGNING);
            KeyPairGenerator maker = KeyPairGenerator.getInstance("Ed25519");
            maker.initialize(NamedParameterSpec.ED25519, new Given(seed));
            keys = maker.generateKeyPair();
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException("This Java has no Ed25519", impossible);
        }
    }

    /** Gives the same bytes always: the key of a school is one. */
    private static final class Given extends SecureRandom {
        private static final long serialVersionUID = 1;

        private final byte[] seed;

        Given(byte[] seed) {
            this.seed = seed.clone();
        }

        @Override
        public void nextBytes(byte[] bytes) {
            System.arraycopy(seed, 0, bytes, 0, bytes.length);
        }
    }

    public byte[] sign(byte[] what) {
        try {
            Signature signature = Signature.getInstance("Ed25519");
            signature.initSign(keys.getPrivate());
            signature.update(what);
            return signature.sign();
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException("This Java has no Ed25519", impossible);
        }
    }

    /** By which everybody can check it; as X.509 has it. */
    public byte[] publicKey() {
        return keys.getPublic().getEncoded();
    }
}
