package juricast.server.files;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** A link as a QR code (ISO/IEC 18004), drawn as SVG so that it stays sharp on paper. */
public final class QrCode {
    private static final int QUIET_ZONE = 4;

    private QrCode() {}

    public static String svg(String text) {
        try {
            BitMatrix dots = new QRCodeWriter()
                    .encode(
                            text,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.MARGIN,
                                    QUIET_ZONE,
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.M));
            var path = new StringBuilder();
            for (int y = 0; y < dots.getHeight(); y++) {
                for (int x = 0; x < dots.getWidth(); x++) {
                    if (dots.get(x, y)) {
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                    }
                }
            }
            return ("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %1$d %2$d\" shape-rendering=\"crispEdges\">"
                            + "<rect width=\"%1$d\" height=\"%2$d\" fill=\"#fff\"/><path d=\"%3$s\" fill=\"#000\"/></svg>")
                    .formatted(dots.getWidth(), dots.getHeight(), path);
        } catch (WriterException tooLong) {
            throw new IllegalArgumentException("Not to be drawn as a QR code: " + text, tooLong);
        }
    }
}
