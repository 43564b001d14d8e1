<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/** What rows can share. */
enum GroupKind: string
{
    case Motor = 'motor';
    case Tank = 'tank';
    case Manifold = 'manifold';
    case Fan = 'fan';
    case Section = 'section';

    /** @return list<Watched> what it can move */
    public function moves(): array
    {
        return match ($this) {
            self::Motor, self::Fan => [Watched::Population, Watched::Skips, Watched::Doubles],
            self::Tank => [Watched::Population, Watched::Skips, Watched::Flow],
            self::Manifold => [Watched::Flow],
            self::Section => [Watched::Population, Watched::Skips, Watched::Doubles, Watched::Downforce, Watched::Flow],
        };
    }
}
