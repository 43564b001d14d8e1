<?php

declare(strict_types=1);

namespace App\Actions\Spec;

use App\Models\SpecSheet;
use App\Models\Walk;
use App\Projections\WalkProjector;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableLength;
use Ustrel\Core\Spec\InvalidSpecSheet;
use Ustrel\Core\Spec\SpecFault;
use Ustrel\Core\Spec\SpecSheetReader;

/**
 * Writes new figures into a workshop's own spec sheet. Open walks of planters that use it are judged by them from now
 * on; finished walks keep theirs.
 */
final readonly class EditSpecSheet
{
    public function __construct(private WalkProjector $projector)
    {
    }

    /**
     * @param  array<string, array<string, array{value: string, source: string}>>  $figures  by check key and figure name
     * @param  array{value: string, source: string}  $notch
     *
     * @throws ValidationException naming every figure that cannot stand
     */
    public function __invoke(SpecSheet $sheet, UnitSystem $units, string $name, array $figures, array $notch): SpecSheet
    {
        $edited = $sheet->sheet;
        $edited['notch'] = self::withUnit($notch, $units);
        foreach ($figures as $check => $named) {
            foreach ($named as $figure => $entry) {
                $edited['checks'][$check]['figures'][$figure] = self::withUnit($entry, $units);
            }
        }

        try {
            $places = SpecSheetReader::read($edited)->placesPerRow();
        } catch (InvalidSpecSheet $invalid) {
            throw ValidationException::withMessages(self::messages($invalid));
        }

        try {
            return DB::transaction(function () use ($sheet, $name, $edited, $places): SpecSheet {
                $sheet->update(['name' => $name, 'sheet' => $edited]);
                $open = Walk::query()
                    ->whereNull('finished_at')
                    ->whereHas('planter', static fn ($planters) => $planters->where('spec_sheet_id', $sheet->id))
                    ->lockForUpdate()
                    ->get();
                foreach ($open as $walk) {
                    $walk->update(['sheet' => $edited, 'places_per_row' => $places]);
                    $this->projector->project($walk);
                }

                return $sheet;
            });
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['name' => __('error.sheet_name_taken', ['name' => $name])]);
        }
    }

    /**
     * A sheet is read without knowing who typed it, so each figure is kept with its unit.
     *
     * @param  array{value: string, source: string}  $entry
     * @return array{value: string, source: string}
     */
    private static function withUnit(array $entry, UnitSystem $units): array
    {
        try {
            Length::read($entry['value'], $units);
        } catch (UnreadableLength) {
            return $entry;
        }

        return ['value' => self::saysItsUnit($entry['value']) ? $entry['value'] : "{$entry['value']} {$units->value}", 'source' => $entry['source']];
    }

    private static function saysItsUnit(string $typed): bool
    {
        try {
            return Length::read($typed, UnitSystem::Inch)->equals(Length::read($typed, UnitSystem::Metric));
        } catch (UnreadableLength) {
            return false;
        }
    }

    /** @return array<string, string> by field of the request */
    private static function messages(InvalidSpecSheet $invalid): array
    {
        $messages = [];
        foreach ($invalid->faults as $fault) {
            $field = $fault->path === 'notch' ? 'notch' : "figures.{$fault->path}";
            $messages[$field] ??= self::message($fault);
        }

        return $messages;
    }

    private static function message(SpecFault $fault): string
    {
        return $fault->length === null
            ? __("spec.{$fault->code}")
            : __("length.{$fault->length->value}", ['typed' => $fault->typed]);
    }
}
