<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\SpecSheet;
use Closure;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableAmount;
use Ustrel\Core\Measure\UnreadableLength;
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
     *
     * @throws ValidationException naming every figure that cannot stand
     */
    public function __invoke(SpecSheet $sheet, UnitSystem $units, string $name, array $figures, array $notch, ?array $threads = null): SpecSheet
    {
        return self::named($name, fn (): SpecSheet => ($this->replace)($sheet, ['name' => $name, 'sheet' => ($threads === null ? [] : ['threads' => $threads]) + self::edited($sheet, $units, $figures, $notch)], static fn (): SpecSheet => $sheet));
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
        $known = $sheet->read()->checks;
        foreach ($figures as $check => $named) {
            foreach ($named as $figure => $entry) {
                $unit = $known[$check]->figures[$figure]->quantity->unit();
                $edited['checks'][$check]['figures'][$figure] = self::withUnit($entry, $unit, $units);
            }
        }
        try {
            SpecSheetReader::read($edited);
        } catch (InvalidSpecSheet $invalid) {
            throw ValidationException::withMessages(self::messages($invalid));
        }

        return $edited;
    }

    /**
     * A sheet is read without knowing who typed it, so each figure is kept with its unit.
     *
     * @param  array{value: string, source: string}  $entry
     * @return array{value: string, source: string}
     */
    private static function withUnit(array $entry, Unit $unit, UnitSystem $system): array
    {
        $spelling = $unit->spelling($system);

        try {
            $unit->read($entry['value'], $system);
            $bare = preg_match('/[\d.,\/]\s*$/', $entry['value']) === 1;
        } catch (UnreadableLength|UnreadableAmount) {
            return $entry;
        }

        return $bare && $spelling !== '' ? ['value' => "{$entry['value']} {$spelling}"] + $entry : $entry;
    }

    /** @return array<string, string> by field of the request */
    private static function messages(InvalidSpecSheet $invalid): array
    {
        $messages = [];
        foreach ($invalid->faults as $fault) {
            $field = $fault->path === 'notch' ? 'notch' : "figures.{$fault->path}";
            $messages[$field] ??= __($fault->wordKey, ['typed' => $fault->typed]);
        }

        return $messages;
    }
}
