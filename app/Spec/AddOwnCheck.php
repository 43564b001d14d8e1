<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\OwnCheck as Kept;
use App\Models\SpecSheet;
use App\Models\Workshop;
use App\Record\Change;
use Closure;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\OwnCheckSpec;

/**
 * Puts a check of the shop's own on one of its spec sheets. One that the shop has already, on another sheet or taken off, is
 * the same check wherever it stands.
 */
final readonly class AddOwnCheck
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  string|null  $limit  as typed, where it takes a figure
     *
     * @throws ValidationException
     */
    public function __invoke(SpecSheet $sheet, UnitSystem $units, OwnCheckSpec $check, ?string $limit): SpecSheet
    {
        return $this->change->ofWorkshop((int) $sheet->workshop_id, static function (Workshop $workshop, Closure $change) use ($sheet, $units, $check, $limit): SpecSheet {
            $key = self::kept($workshop, $check)->key();
            $checks = $sheet->refresh()->sheet['checks'];
            if (isset($checks[$key->value])) {
                throw ValidationException::withMessages(['name' => __('own.on_sheet', ['name' => $check->name])]);
            }
            $entry = ['own' => $check->toArray()];
            if ($check->takesFigure()) {
                $entry['figures'] = ['limit' => EditSpecSheet::withUnit(['value' => (string) $limit, 'source' => __('own.source')], Unit::Mark, $units)];
            }
            $written = ['checks' => [$key->value => $entry] + $checks] + $sheet->sheet;
            EditSpecSheet::refuse($written, static fn (string $path): string => str_replace("{$key->value}.", '', $path));
            $sheet->update(['sheet' => $written]);
            ReplaceSheet::followed($sheet, $change);

            return $sheet;
        });
    }

    private static function kept(Workshop $workshop, OwnCheckSpec $check): Kept
    {
        foreach (CheckKey::shipped() as $shipped) {
            if (mb_strtolower(__("check.{$shipped->value}")) === mb_strtolower($check->name)) {
                throw ValidationException::withMessages(['name' => __('own.name_taken', ['name' => $check->name])]);
            }
        }
        $own = Kept::query()->where('workshop_id', $workshop->id)->get();
        $same = $own->first(static fn (Kept $kept): bool => mb_strtolower($kept->name) === mb_strtolower($check->name));
        if ($same !== null) {
            $alike = ['station' => 1, 'kind' => 1, 'sided' => 1];

            return array_intersect_key($same->definition, $alike) == array_intersect_key($check->toArray(), $alike)
                ? $same
                : throw ValidationException::withMessages(['name' => __('own.name_taken', ['name' => $check->name])]);
        }
        $number = (int) $own->max('number') + 1;
        if ($number > count(CheckKey::own())) {
            throw ValidationException::withMessages(['name' => __('own.too_many', ['most' => count(CheckKey::own())])]);
        }

        return Kept::query()->create(['workshop_id' => $workshop->id, 'number' => $number, 'name' => $check->name, 'definition' => $check->toArray()]);
    }
}
