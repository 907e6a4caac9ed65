package juricast.server.record;

/** Keys of schools that there are not. */
public final class SignatureForTests {
    private SignatureForTests() {}

    public static SchoolSignature of(int school) {
        byte[] key = new byte[32];
        key[0] = (byte) school;
        return new SchoolSignature(new RecordKey(key));
    }
}
