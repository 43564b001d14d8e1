<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\PaperSize;
use App\Models\User;
use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Support\Facades\Auth;

/** Puts a view on paper, as a PDF, its pages numbered; of the size that the shop of whoever asks prints on. */
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
        $pdf->setPaper((Auth::user() instanceof User ? Auth::user()->workshop->paper : PaperSize::A4)->value, $isLying ? 'landscape' : 'portrait');
        $pdf->loadHtml(view($view, $with)->render());
        $pdf->render();
        $canvas = $pdf->getCanvas();
        $canvas->page_text($canvas->get_width() - 81, $canvas->get_height() - 26, __('print.page'), $pdf->getFontMetrics()->getFont('DejaVu Sans') ?? '', 7);

        return (string) $pdf->output();
    }
}
