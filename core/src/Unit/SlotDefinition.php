<?php

declare(strict_types=1);

namespace Ustrel\Core\Unit;

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\CheckKey;

/** What a slot is: which checks look at its part, and what a new part changes. */
final readonly class SlotDefinition
{
    /**
     * @param  non-empty-list<CheckKey>  $checks  what a new part makes good; the first is the one that its size is read by
     * @param  list<CheckKey>  $renews  whose earlier readings say nothing about the row any more, besides its own
     * @param  list<CheckKey>  $remeasured  what has to be measured or set again, on the row as a whole
     * @param  bool  $inPairs  both sides of a row are changed together
     * @param  list<Slot>  $together  what wears with it on its side and is changed together with it
     * @param  float  $depthLost  millimetres of planting depth that are lost for each that the part wears
     */
    public function __construct(public array $checks, public array $renews, public array $remeasured, public bool $inPairs, public array $together, public float $depthLost)
    {
    }

    /**
     * @param  array<string, mixed>  $checks  that there are, by key
     * @param  array<string, mixed>  $slots  likewise
     *
     * @throws InvalidCatalogue
     */
    public static function read(string $name, mixed $given, array $checks, array $slots): self
    {
        $given = is_array($given) ? $given : throw InvalidCatalogue::shape($name);
        $names = static fn (string $field, array $known): array => array_map(
            static fn (mixed $named): string => is_string($named) && array_key_exists($named, $known) ? $named : throw InvalidCatalogue::unknown($name, (string) json_encode($named)),
            array_values(is_array($given[$field] ?? []) ? $given[$field] ?? [] : throw InvalidCatalogue::shape($name)),
        );
        $keys = static fn (string $field): array => array_map(CheckKey::named(...), $names($field, $checks));
        $lost = $given['depth_lost'] ?? 0.0;

        return new self($keys('checks') ?: throw InvalidCatalogue::shape($name), $keys('renews'), $keys('remeasured'), ($given['in_pairs'] ?? false) === true, array_map(Slot::named(...), $names('together', $slots)), is_float($lost) || is_int($lost) ? (float) $lost : throw InvalidCatalogue::shape($name));
    }
}
