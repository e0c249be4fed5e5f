package stillpond.app.account;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;

/** A QR code (ISO/IEC 18004) as SVG draws it. @param side in modules @param path of the dark ones */
record QrPicture(int side, String path) {

    static QrPicture of(String text) {
        try {
            BitMatrix modules = new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 1, 1);
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < modules.getHeight(); y++) {
                for (int x = 0; x < modules.getWidth(); x++) {
                    if (modules.get(x, y)) {
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                    }
                }
            }
            return new QrPicture(modules.getWidth(), path.toString());
        } catch (WriterException e) {
            throw new IllegalStateException(e);
        }
    }
}
