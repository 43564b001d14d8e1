<?php

declare(strict_types=1);

namespace App\Http;

use Dompdf\Dompdf;
use Dompdf\Options;

/** Puts a view on paper, as a PDF: A4, its pages numbered. */
final class Paper
{
    /**
     * @param  view-string  $view
     * @param  array<string, mixed>  $with
     */
    public static function pdf(string $view, array $with, bool $isLying = false): string
    {
        $options = new Options;
        $options->setIsRemoteEnabled(false);
        $options->setDefaultFont('DejaVu Sans');
        $options->setFontCache(storage_path('framework/cache'));
        $options->setTempDir(storage_path('framework/cache'));
        $pdf = new Dompdf($options);
        $pdf->setPaper('A4', $isLying ? 'landscape' : 'portrait');
        $pdf->loadHtml(view($view, $with)->render());
        $pdf->render();
        [$x, $y] = $isLying ? [760, 570] : [515, 815];
        $pdf->getCanvas()->page_text($x, $y, __('print.page'), $pdf->getFontMetrics()->getFont('DejaVu Sans') ?? '', 7);

        return (string) $pdf->output();
    }
}
