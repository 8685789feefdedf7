package rosinedpeg.web.drawing;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/**
 * An address as a QR code, to be drawn: one unit for each of its modules, with the quiet margin that readers need.
 *
 * @param size how many modules it is wide and high
 * @param path its dark modules, as an SVG path
 */
public record QrPicture(int size, String path) {

    /** The quiet margin that the standard asks for is four modules; two are read as well, and small labels have no more. */
    private static final Map<EncodeHintType, Object> HOW =
            Map.of(EncodeHintType.MARGIN, 2, EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M);

    /** {@return a text as a QR code} */
    public static QrPicture of(String text) {
        try {
            BitMatrix modules = new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 0, 0, HOW);
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < modules.getHeight(); y++) {
                for (int x = 0; x < modules.getWidth(); x++) {
                    int from = x;
                    while (x < modules.getWidth() && modules.get(x, y)) {
                        x++;
                    }
                    if (x > from) {
                        path.append("M")
                                .append(from)
                                .append(" ")
                                .append(y)
                                .append("h")
                                .append(x - from);
                        path.append("v1h-").append(x - from).append("z");
                    }
                }
            }
            return new QrPicture(modules.getWidth(), path.toString());
        } catch (WriterException tooLong) {
            throw new IllegalArgumentException(text + " is too long for a QR code", tooLong);
        }
    }
}
