<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableLength;

/**
 * Reads a spec sheet from its decoded JSON (shape: docs/formats.md) and refuses one that could not be judged by.
 *
 * All faults are gathered, so that an editor can mark every field at once.
 */
final class SpecSheetReader
{
    /** The figures that each rule needs. */
    private const FIGURES = [
        'wear_limit' => ['new', 'limit', 'margin'],
        'window' => ['low', 'high', 'aim', 'margin'],
    ];

    /** @var list<SpecFault> */
    private array $faults = [];

    private function __construct(private readonly UnitSystem $system)
    {
    }

    /**
     * @param  array<mixed>  $sheet
     * @param  UnitSystem  $system  the unit of figures written without one
     *
     * @throws InvalidSpecSheet
     */
    public static function read(array $sheet, UnitSystem $system = UnitSystem::Inch): SpecSheet
    {
        return (new self($system))->sheet($sheet);
    }

    /** @param  array<mixed>  $sheet */
    private function sheet(array $sheet): SpecSheet
    {
        $type = RowUnitType::tryFrom($this->text($sheet, 'type'));
        if ($type === null) {
            $this->faults[] = SpecFault::at('type', 'unknown_type');
        }
        $notch = $this->figure($sheet['notch'] ?? null, 'notch');
        if ($notch !== null && $notch->length->nanometres === 0) {
            $this->faults[] = SpecFault::at('notch', 'zero');
        }
        $checks = $this->checks($sheet['checks'] ?? null);

        if ($type === null || $notch === null || $checks === [] || $this->faults !== []) {
            throw InvalidSpecSheet::because($this->faults ?: [SpecFault::at('checks', 'no_checks')]);
        }

        return new SpecSheet($type, $checks, $notch);
    }

    /** @return array<string, Check> in row-unit order, whatever order the file has */
    private function checks(mixed $given): array
    {
        $given = is_array($given) ? $given : [];
        foreach (array_keys($given) as $key) {
            if (CheckKey::tryFrom((string) $key) === null) {
                $this->faults[] = SpecFault::at((string) $key, 'unknown_check');
            }
        }

        $checks = [];
        foreach (CheckKey::cases() as $key) {
            $entry = $given[$key->value] ?? null;
            $check = is_array($entry) ? $this->check($key, $entry) : null;
            if ($check !== null) {
                $checks[$key->value] = $check;
            }
        }

        return $checks;
    }

    /** @param  array<mixed>  $entry */
    private function check(CheckKey $key, array $entry): ?Check
    {
        $sides = $this->sides($key, $entry['sides'] ?? null);
        $ruleName = $this->text($entry, 'rule');
        $names = self::FIGURES[$ruleName] ?? null;
        if ($names === null) {
            $this->faults[] = SpecFault::at($key->value, 'unknown_rule');

            return null;
        }

        $given = is_array($entry['figures'] ?? null) ? $entry['figures'] : [];
        $figures = [];
        foreach ($names as $name) {
            $figure = $this->figure($given[$name] ?? null, "{$key->value}.{$name}");
            if ($figure !== null) {
                $figures[$name] = $figure;
            }
        }
        if (count($figures) < count($names) || $sides === []) {
            return null;
        }
        $rule = $ruleName === 'wear_limit' ? $this->wearLimit($key, $figures) : $this->window($key, $figures);

        return new Check($key, $sides, $figures, $rule);
    }

    /** @return list<Side> */
    private function sides(CheckKey $key, mixed $given): array
    {
        $sides = [];
        foreach (is_array($given) ? $given : [] as $name) {
            $side = is_string($name) ? Side::tryFrom($name) : null;
            if ($side === null) {
                $this->faults[] = SpecFault::at($key->value, 'unknown_side');
            } else {
                $sides[] = $side;
            }
        }
        if ($sides === []) {
            $this->faults[] = SpecFault::at($key->value, 'no_sides');
        }

        return $sides;
    }

    private function figure(mixed $given, string $path): ?Figure
    {
        $given = is_array($given) ? $given : [];
        $typed = $this->text($given, 'value');
        $source = trim($this->text($given, 'source'));
        if ($source === '') {
            $this->faults[] = SpecFault::at($path, 'no_source');
        }

        try {
            return new Figure(Length::read($typed, $this->system), $source);
        } catch (UnreadableLength $unreadable) {
            $this->faults[] = SpecFault::unreadable($path, $unreadable->fault, $typed);

            return null;
        }
    }

    /** @param  array<string, Figure>  $figures */
    private function wearLimit(CheckKey $key, array $figures): WearLimit
    {
        $rule = new WearLimit($figures['new']->length, $figures['limit']->length, $figures['margin']->length);
        if (! $rule->limit->isLessThan($rule->new)) {
            $this->faults[] = SpecFault::at("{$key->value}.limit", 'limit_not_under_new');
        } elseif (! $rule->limit->plus($rule->margin)->isLessThan($rule->new)) {
            $this->faults[] = SpecFault::at("{$key->value}.margin", 'margin_past_new');
        }

        return $rule;
    }

    /** @param  array<string, Figure>  $figures */
    private function window(CheckKey $key, array $figures): Window
    {
        $rule = new Window(
            $figures['low']->length, $figures['high']->length, $figures['aim']->length, $figures['margin']->length,
        );
        if ($rule->low->nanometres === 0 || ! $rule->low->isLessThan($rule->high)) {
            $this->faults[] = SpecFault::at("{$key->value}.high", 'window_upside_down');
        } elseif (! $rule->low->isLessThan($rule->aim) || $rule->aim->isGreaterThan($rule->high)) {
            $this->faults[] = SpecFault::at("{$key->value}.aim", 'aim_outside_window');
        } elseif (! $rule->low->plus($rule->margin)->isLessThan($rule->high->minus($rule->margin))) {
            $this->faults[] = SpecFault::at("{$key->value}.margin", 'margins_meet');
        }

        return $rule;
    }

    /** @param  array<mixed>  $from */
    private function text(array $from, string $key): string
    {
        return is_string($from[$key] ?? null) ? $from[$key] : '';
    }
}
