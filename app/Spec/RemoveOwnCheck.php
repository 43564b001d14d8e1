<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\SpecSheet;
use App\Models\Workshop;
use App\Record\Change;
use Closure;
use Ustrel\Core\Spec\CheckKey;

/** Takes a check of the shop's own off a spec sheet. What was read of it stays on record, and comes back with it. */
final readonly class RemoveOwnCheck
{
    public function __construct(private Change $change)
    {
    }

    public function __invoke(SpecSheet $sheet, CheckKey $key): SpecSheet
    {
        return $this->change->ofWorkshop((int) $sheet->workshop_id, static function (Workshop $workshop, Closure $change) use ($sheet, $key): SpecSheet {
            $checks = $sheet->refresh()->sheet['checks'];
            if ($key->isOwn() && isset($checks[$key->value])) {
                unset($checks[$key->value]);
                $sheet->update(['sheet' => ['checks' => $checks] + $sheet->sheet]);
                ReplaceSheet::followed($sheet, $change);
            }

            return $sheet;
        });
    }
}
