<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\SpecSheet;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;

/** Gives a workshop its own copy of a spec sheet, to be edited. */
final class CopySpecSheet
{
    public function __invoke(SpecSheet $from, User $by): SpecSheet
    {
        return DB::transaction(function () use ($from, $by): SpecSheet {
            // One copy at a time in a workshop, so that two of them do not pick the same name.
            Workshop::query()->whereKey($by->workshop_id)->lock('for no key update')->first();

            return SpecSheet::query()->create([
                'workshop_id' => $by->workshop_id,
                'copied_from_id' => $from->id,
                'name' => self::freeName($from->name, $by->workshop_id),
                'type' => $from->type,
                'sheet' => $from->sheet,
            ]);
        });
    }

    private static function freeName(string $name, int $workshopId): string
    {
        $taken = SpecSheet::query()->where('workshop_id', $workshopId)->pluck('name')->map(static fn (string $taken): string => mb_strtolower($taken));
        $stem = __('spec.copy_of', ['name' => (string) preg_replace('/, own figures( \d+)?$/', '', $name)]);
        $copy = $stem;
        for ($number = 2; $taken->contains(mb_strtolower($copy)); $number++) {
            $copy = "{$stem} {$number}";
        }

        return $copy;
    }
}
