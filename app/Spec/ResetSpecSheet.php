<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\SpecSheet;
use Illuminate\Support\Facades\DB;

/** Puts a workshop's own copy back to the typical figures of its row-unit type; the name stays. */
final readonly class ResetSpecSheet
{
    public function __construct(private SheetOfOpenWalks $openWalks)
    {
    }

    public function __invoke(SpecSheet $sheet): SpecSheet
    {
        $typical = SpecSheet::query()->whereNull('workshop_id')->where('type', $sheet->type)->firstOrFail();

        return DB::transaction(function () use ($sheet, $typical): SpecSheet {
            $sheet->update(['sheet' => $typical->sheet]);
            $this->openWalks->follow($sheet);

            return $sheet;
        });
    }
}
