<?php

declare(strict_types=1);

namespace App\Models;

/** What a shop prints on. */
enum PaperSize: string
{
    case A4 = 'a4';

    case Letter = 'letter';
}
