<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\SpecSheet;
use App\Record\Document;
use Closure;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableNumber;
use Ustrel\Core\Spec\InvalidSpecSheet;
use Ustrel\Core\Spec\SpecSheetReader;

/**
 * Writes new figures into a workshop's own spec sheet. Open walks of planters that use it are judged by them from now
 * on; finished walks keep theirs.
 */
final readonly class EditSpecSheet
{
    public function __construct(private ReplaceSheet $replace)
    {
    }

    /**
     * @param  array<string, array<string, array{value: string, source: string}>>  $figures  by check key and figure name
     * @param  array{value: string, source: string}  $notch
     * @param  array{left_hand: string, torque: string}|null  $threads  null to leave them
     * @param  string|null  $seen  version that was changed
     *
     * @throws ValidationException naming every figure that cannot stand
     */
    public function __invoke(SpecSheet $sheet, UnitSystem $units, string $name, array $figures, array $notch, ?array $threads = null, ?string $seen = null): SpecSheet
    {
        $columns = static function (SpecSheet $sheet) use ($units, $name, $figures, $notch, $threads, $seen): array {
            $columns = ['name' => $name, 'sheet' => ($threads === null ? [] : ['threads' => $threads]) + self::edited($sheet, $units, $figures, $notch)];
            Document::isKnown($sheet, $columns, $seen);

            return $columns;
        };

        return self::named($name, fn (): SpecSheet => ($this->replace)($sheet, $columns, static fn (): SpecSheet => $sheet));
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $save
     * @return T
     *
     * @throws ValidationException where the name is taken
     */
    public static function named(string $name, Closure $save): mixed
    {
        try {
            return $save();
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['name' => __('error.sheet_name_taken', ['name' => $name])]);
        }
    }

    /**
     * @param  array<string, array<string, array{value: string, source: string}>>  $figures
     * @param  array{value: string, source: string}  $notch
     * @return array<string, mixed> the sheet with these figures
     *
     * @throws ValidationException
     */
    public static function edited(SpecSheet $sheet, UnitSystem $units, array $figures, array $notch): array
    {
        $edited = $sheet->sheet;
        $edited['notch'] = self::withUnit($notch, Unit::Millimetre, $units);
        $known = $sheet->shown()->checks;
        foreach ($figures as $check => $named) {
            foreach ($named as $figure => $entry) {
                // Somebody may have taken the check off the sheet meanwhile.
                $unit = ($known[$check]->figures[$figure] ?? null)?->quantity->unit();
                if ($unit === null) {
                    throw ValidationException::withMessages(["figures.{$check}" => __('spec.unknown_check')]);
                }
                $edited['checks'][$check]['figures'][$figure] = self::withUnit($entry, $unit, $units);
            }
        }
        self::refuse($edited, static fn (string $path): string => $path === 'notch' ? 'notch' : "figures.{$path}");

        return $edited;
    }

    /**
     * @param  array<string, mixed>  $written  a sheet
     * @param  Closure(string): string  $field  of the request, by the path in the sheet
     *
     * @throws ValidationException naming everything that could not be judged by
     */
    public static function refuse(array $written, Closure $field): void
    {
        try {
            SpecSheetReader::read($written);
        } catch (InvalidSpecSheet $invalid) {
            $messages = [];
            foreach ($invalid->faults as $fault) {
                $messages[$field($fault->path)] ??= __($fault->wordKey, $fault->fill);
            }
            throw ValidationException::withMessages($messages);
        }
    }

    /**
     * A sheet is read without knowing who typed it, so each figure is kept with its unit.
     *
     * @param  array{value: string, source: string}  $entry
     * @return array{value: string, source: string}
     */
    public static function withUnit(array $entry, Unit $unit, UnitSystem $system): array
    {
        $spelling = $unit->spelling($system);

        if ($spelling === '') {
            return $entry;
        }
        try {
            // With a unit of its own, or as a fraction beside millimetres, it cannot be read.
            $unit->read("{$entry['value']} {$spelling}", $system);
        } catch (UnreadableNumber) {
            return $entry;
        }

        return ['value' => "{$entry['value']} {$spelling}"] + $entry;
    }
}
