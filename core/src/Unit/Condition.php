<?php

declare(strict_types=1);

namespace Ustrel\Core\Unit;

use Ustrel\Core\Spec\Equipment;

/** What a planter has to carry for something to be there: `{"opener": ["double_disc", "single_disc"], "scrapers": true}`, or a list of which one is enough. */
final readonly class Condition
{
    /** @param  list<array<string, list<string|bool|int|null>>>  $any  by assembly the kinds that will do; all of an entry hold together */
    public function __construct(private array $any)
    {
    }

    public static function always(): self
    {
        return new self([[]]);
    }

    /**
     * @param  array<string, Assembly>  $assemblies
     *
     * @throws InvalidCatalogue where it asks for an assembly or a kind that there is not
     */
    public static function read(string $of, mixed $given, array $assemblies): self
    {
        $entries = is_array($given) ? $given : throw InvalidCatalogue::shape($of);
        $any = [];
        foreach (array_is_list($entries) && $entries !== [] ? $entries : [$entries] as $entry) {
            $all = [];
            foreach (is_array($entry) ? $entry : throw InvalidCatalogue::shape($of) as $name => $kinds) {
                $assembly = $assemblies[$name] ?? throw InvalidCatalogue::unknown($of, (string) $name);
                $all[$assembly->name] = $assembly->only($of, is_array($kinds) ? $kinds : [$kinds]);
            }
            $any[] = $all;
        }

        return new self($any);
    }

    public function isAlways(): bool
    {
        return in_array([], $this->any, true);
    }

    public function holds(Equipment $on): bool
    {
        foreach ($this->any as $all) {
            if (array_filter($all, static fn (array $kinds, string $assembly): bool => ! in_array($on->kind($assembly), $kinds, true), ARRAY_FILTER_USE_BOTH) === []) {
                return true;
            }
        }

        return false;
    }
}
