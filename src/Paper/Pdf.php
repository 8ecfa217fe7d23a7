<?php

declare(strict_types=1);

namespace Meandros\Server\Paper;

use Dompdf\Dompdf;
use Dompdf\Options;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Pages of HTML as PDF. Nothing is fetched for them: no file, no address, no script. */
final readonly class Pdf
{
    public function __construct(#[Autowire('%kernel.cache_dir%/pdf')] private string $folder) {}

    /** @param string $orientation portrait or landscape */
    public function of(string $html, string $orientation = 'portrait'): string
    {
        is_dir($this->folder) || @mkdir($this->folder, 0o775, true);
        $options = new Options();
        $options->setIsRemoteEnabled(false);
        $options->setIsPhpEnabled(false);
        $options->setIsJavascriptEnabled(false);
        $options->setChroot($this->folder);
        $options->setFontCache($this->folder);
        $options->setTempDir($this->folder);
        $options->setDefaultFont('DejaVu Sans');
        $options->setIsFontSubsettingEnabled(true);
        $pdf = new Dompdf($options);
        $pdf->setPaper('A4', $orientation);
        $pdf->loadHtml($html, 'UTF-8');
        $pdf->render();
        $canvas = $pdf->getCanvas();
        $canvas->page_text(
            $canvas->get_width() / 2 - 14,
            $canvas->get_height() - 30,
            '{PAGE_NUM} / {PAGE_COUNT}',
            (string) $pdf->getFontMetrics()->getFont('DejaVu Sans'),
            8,
        );

        return (string) $pdf->output();
    }
}
