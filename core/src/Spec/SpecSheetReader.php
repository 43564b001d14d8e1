<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableNumber;
use Ustrel\Core\Unit\Catalogue;
use Ustrel\Core\Unit\InvalidCatalogue;

/**
 * Reads a spec sheet from its decoded JSON (shape: docs/formats.md) and refuses one that could not be judged by.
 *
 * All faults are gathered, so that an editor can mark every field at once.
 */
final class SpecSheetReader
{
    private const ON_PLANTER = 'set for this planter';

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
    public static function read(array $sheet, UnitSystem $system = UnitSystem::Inch): Sheet
    {
        return (new self($system))->sheet($sheet);
    }

    /** @param  array<mixed>  $sheet */
    private function sheet(array $sheet): Sheet
    {
        $type = RowUnitType::tryFrom($this->text($sheet, 'type'));
        if ($type === null) {
            $this->faults[] = SpecFault::at('type', 'unknown_type');
        }
        $notch = $this->figure($sheet['notch'] ?? null, 'notch', Unit::Millimetre);
        if ($notch !== null && $notch->quantity->steps() === 0) {
            $this->faults[] = SpecFault::at('notch', 'zero');
        }
        $checks = $this->checks($sheet['checks'] ?? null);
        $threads = $this->threads($sheet['threads'] ?? null);

        if ($type === null || $notch === null || $checks === [] || $this->faults !== []) {
            throw InvalidSpecSheet::because($this->faults ?: [SpecFault::at('checks', 'no_checks')]);
        }

        return new Sheet($type, $checks, $notch, $threads);
    }

    /** A check by the typical figures of the catalogue, for sheets that do not speak of it. */
    public static function typical(CheckKey $key): Check
    {
        /** @var array<string, Check> $typical */
        static $typical = [];

        return $typical[$key->value] ??= (new self(UnitSystem::Inch))->check($key, []) ?? throw InvalidCatalogue::shape($key->value);
    }

    /**
     * A check as a planter has it that says its own target: judged by that, as far off as the sheet allows.
     *
     * @param  string  $target  with its unit
     *
     * @throws UnreadableNumber
     */
    public static function wanting(Check $check, string $target): Check
    {
        $definition = $check->definition->aimed();
        $reader = new self(UnitSystem::Inch);
        $figures = ['target' => new Figure($check->unit->read($target, UnitSystem::Inch), $target, self::ON_PLANTER)];
        foreach (array_diff_key($definition->rule->figures(), $figures) as $name => $unit) {
            $figures[$name] = $check->figures[$name] ?? $reader->figure($definition->figures[$name] ?? null, "{$check->key->value}.{$name}", $unit ?? $definition->unit) ?? throw InvalidCatalogue::shape($check->key->value);
        }

        return $check->aimed($definition, $figures);
    }

    /**
     * The figures of a check in the unit that a planter counts it in: as the sheet has them, or typical of that unit where it has none of its own.
     *
     * @return array<string, Figure>
     */
    public static function counted(Check $check, CheckDefinition $counted): array
    {
        $reader = new self(UnitSystem::Inch);
        $figures = [];
        foreach ($counted->rule->figures() as $name => $unit) {
            $typical = $check->definition->figures[$name] ?? null;
            $figure = $check->figures[$name];
            $isTypical = is_array($typical) && ($typical['value'] ?? null) === $figure->typed;
            $figures[$name] = $reader->figure($isTypical ? $counted->figures[$name] : ['value' => $figure->typed, 'source' => $figure->source], "{$check->key->value}.{$name}", $unit ?? $counted->unit) ?? throw InvalidCatalogue::shape($check->key->value);
        }

        return $figures;
    }

    /** A sheet that says nothing is as most row units are: the left one left-handed. */
    private function threads(mixed $given): Threads
    {
        $given = is_array($given) ? $given : [];
        $side = array_key_exists('left_hand', $given) ? Side::tryFrom($this->text($given, 'left_hand')) : Side::Left;
        $torque = trim($this->text($given, 'torque'));
        if ($side === Side::Centre) {
            $this->faults[] = SpecFault::at('threads.left_hand', 'unknown_side');
        }
        if (mb_strlen($torque) > Threads::LONGEST_TORQUE) {
            $this->faults[] = SpecFault::at('threads.torque', 'too_long');
        }

        return new Threads($side, $torque);
    }

    /** @return array<string, Check> in the order of the walk, whatever order the file has */
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

        return self::inOrder($checks);
    }

    /**
     * @param  array<string, Check>  $checks
     * @return array<string, Check> in the order of the walk; the shop's own come last at their stations
     */
    public static function inOrder(array $checks): array
    {
        $stations = array_flip(array_column(Station::cases(), 'value'));
        $keys = array_flip(array_column(CheckKey::cases(), 'value'));
        uasort($checks, static fn (Check $one, Check $other): int => [$stations[$one->station->value], $keys[$one->key->value]] <=> [$stations[$other->station->value], $keys[$other->key->value]]);

        return $checks;
    }

    /** @param  array<mixed>  $entry */
    private function check(CheckKey $key, array $entry): ?Check
    {
        $own = $key->isOwn() ? $this->own($key, is_array($entry['own'] ?? null) ? $entry['own'] : []) : null;
        if ($key->isOwn() && $own === null) {
            return null;
        }
        $definition = $own?->definition() ?? Catalogue::shipped()->check($key);
        $sides = array_key_exists('sides', $entry) ? $this->sides($key, $entry['sides']) : $definition->sides();

        $given = (is_array($entry['figures'] ?? null) ? $entry['figures'] : []) + $definition->figures;
        $names = $definition->rule->figures();
        $figures = [];
        foreach ($names as $name => $unit) {
            $figure = $this->figure($given[$name] ?? null, "{$key->value}.{$name}", $unit ?? $definition->unit);
            if ($figure !== null) {
                $figures[$name] = $figure;
            }
        }
        if (count($figures) < count($names) || $sides === []) {
            return null;
        }
        $check = new Check($key, $definition, $sides, $figures, own: $own);
        $this->faults = [...$this->faults, ...$this->faultsOf($check)];

        return $check;
    }

    /** @param  array<mixed>  $given */
    private function own(CheckKey $key, array $given): ?OwnCheckSpec
    {
        $name = trim($this->text($given, 'name'));
        $station = Station::tryFrom($this->text($given, 'station'));
        $kind = OwnKind::tryFrom($this->text($given, 'kind'));
        $how = trim($this->text($given, 'how'));
        $faults = array_filter([
            'name' => $name === '' || mb_strlen($name) > OwnCheckSpec::LONGEST_NAME ? 'own_name' : null,
            'station' => $station === null ? 'own_station' : null,
            'kind' => $kind === null ? 'own_kind' : null,
            'how' => mb_strlen($how) > OwnCheckSpec::LONGEST_HOW ? 'own_how' : null,
        ]);
        foreach ($faults as $field => $code) {
            $this->faults[] = SpecFault::at("{$key->value}.{$field}", $code);
        }

        return $station === null || $kind === null || $faults !== [] ? null : new OwnCheckSpec($name, $station, $kind, ($given['sided'] ?? false) === true, $how);
    }

    /** @return list<SpecFault> for whatever closing wheels, each once */
    private function faultsOf(Check $check): array
    {
        $faults = [];
        if (isset($check->figures['life']) && $check->figures['life']->quantity->steps() === 0) {
            $faults['life'] = SpecFault::at("{$check->key->value}.life", 'zero');
        }
        $kinds = $check->definition->rule->goesByClosingWheels() ? ClosingWheels::withGap() : [ClosingWheels::Rubber];
        foreach ($kinds as $wheels) {
            foreach ((new Check($check->key, $check->definition, $check->sides, $check->figures, $wheels))->rule->faults() as $figure => $code) {
                $faults[$figure] = SpecFault::at("{$check->key->value}.{$figure}", $code);
            }
        }

        return array_values($faults);
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

    private function figure(mixed $given, string $path, Unit $unit): ?Figure
    {
        $given = is_array($given) ? $given : [];
        $typed = $this->text($given, 'value');
        $source = trim($this->text($given, 'source'));
        if ($source === '') {
            $this->faults[] = SpecFault::at($path, 'no_source');
        }

        try {
            return new Figure($unit->read($typed, $this->system), $typed, $source);
        } catch (UnreadableNumber $unreadable) {
            $this->faults[] = SpecFault::unreadable($path, $unreadable);

            return null;
        }
    }

    /** @param  array<mixed>  $from */
    private function text(array $from, string $key): string
    {
        return is_string($from[$key] ?? null) ? $from[$key] : '';
    }
}
