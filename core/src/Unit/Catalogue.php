<?php

declare(strict_types=1);

namespace Ustrel\Core\Unit;

use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\CheckDefinition;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Station;

/** All assemblies that a planter can be made of, with their checks and slots, as core/units says them (shape: docs/formats.md). */
final readonly class Catalogue
{
    /**
     * @param  array<string, Assembly>  $assemblies  by name
     * @param  list<Contradiction>  $contradictions
     * @param  array<string, CheckDefinition>  $checks  by key
     * @param  array<string, SlotDefinition>  $slots  by name
     * @param  list<CheckKey>  $walked  in the order of the walk
     * @param  list<Slot>  $frontToBack
     */
    private function __construct(public array $assemblies, public array $contradictions, private array $checks, private array $slots, public array $walked, public array $frontToBack)
    {
    }

    public static function shipped(): self
    {
        /** @var self|null $shipped */
        static $shipped = null;

        return $shipped ??= self::read(array_map(
            static fn (mixed $name): array => (array) json_decode((string) file_get_contents(__DIR__.'/../../units/'.(is_string($name) ? $name : '').'.json'), true, flags: JSON_THROW_ON_ERROR),
            array_values((array) json_decode((string) file_get_contents(__DIR__.'/../../units/index.json'), true, flags: JSON_THROW_ON_ERROR)),
        ));
    }

    /**
     * @param  list<array<mixed>>  $files  shape: docs/formats.md
     *
     * @throws InvalidCatalogue
     */
    public static function read(array $files): self
    {
        $assemblies = $contradictions = $checks = $slots = [];
        $whole = self::all(array_values(array_filter($files, static fn (array $file): bool => ($file['whole_planter'] ?? false) === true)), 'assemblies');
        foreach (self::all($files, 'assemblies') as $name => $given) {
            $assemblies[$name] = Assembly::read($name, $given, array_key_exists($name, $whole));
        }
        foreach (self::all($files, 'contradictions') as $code => $given) {
            $side = static fn (string $of): Condition => Condition::read($code, is_array($given) ? $given[$of] ?? null : null, $assemblies);
            $contradictions[] = new Contradiction($code, $side('if'), $side('then'));
        }
        foreach (self::all($files, 'checks') as $key => $given) {
            $checks[$key] = CheckDefinition::read($key, is_array($given) ? $given : throw InvalidCatalogue::shape($key), $assemblies);
        }
        $positions = self::all($files, 'slots');
        foreach ($positions as $name => $given) {
            $slots[$name] = SlotDefinition::read($name, $given, $checks, $positions);
        }
        $station = static fn (CheckKey $key): int => (int) array_search($checks[$key->value]->station, Station::cases(), true);
        // By station, and at one station as they are written.
        $walked = array_map(CheckKey::named(...), array_keys($checks));
        usort($walked, static fn (CheckKey $one, CheckKey $other): int => $station($one) <=> $station($other));
        $frontToBack = array_map(Slot::named(...), array_keys($slots));
        usort($frontToBack, static fn (Slot $one, Slot $other): int => $station($slots[$one->value]->checks[0]) <=> $station($slots[$other->value]->checks[0]));

        return new self($assemblies, $contradictions, $checks, $slots, $walked, $frontToBack);
    }

    /**
     * @param  list<array<mixed>>  $files
     * @return array<string, mixed> what all of them have under a heading
     */
    private static function all(array $files, string $heading): array
    {
        $all = [];
        foreach ($files as $file) {
            foreach (is_array($file[$heading] ?? []) ? $file[$heading] ?? [] : throw InvalidCatalogue::shape($heading) as $name => $given) {
                $all[(string) $name] = array_key_exists($name, $all) ? throw InvalidCatalogue::twice((string) $name) : $given;
            }
        }

        return $all;
    }

    /** @return array<string, Assembly> what rows can differ in, by name */
    public function ofRows(): array
    {
        return array_filter($this->assemblies, static fn (Assembly $assembly): bool => ! $assembly->isOfWholePlanter);
    }

    public function hasCheck(string $name): bool
    {
        return array_key_exists($name, $this->checks);
    }

    public function hasSlot(string $name): bool
    {
        return array_key_exists($name, $this->slots);
    }

    public function check(CheckKey $key): CheckDefinition
    {
        // What a shop's own check is stands in its spec sheet; its figure is a plain number in any case.
        return $this->checks[$key->value] ?? CheckDefinition::setting(Station::Electronics, Unit::Mark);
    }

    public function slot(Slot $slot): SlotDefinition
    {
        return $this->slots[$slot->value] ?? throw InvalidCatalogue::unknown('slots', $slot->value);
    }

    /** @return list<Contradiction> of this equipment */
    public function contradictionsIn(Equipment $equipment): array
    {
        return array_values(array_filter($this->contradictions, static fn (Contradiction $contradiction): bool => $contradiction->isIn($equipment)));
    }
}
