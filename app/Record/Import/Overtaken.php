<?php

declare(strict_types=1);

namespace App\Record\Import;

use RuntimeException;

/** Somebody stopped the import, or another worker has it. */
final class Overtaken extends RuntimeException
{
}
