<?php

declare(strict_types=1);

namespace App\Models\People;

/** What a person may do in a workshop. Each may do what those before it may. */
enum Role: string
{
    /** Looks at one planter, by a link. */
    case Guest = 'guest';

    /** Walks and records what was done; changes no figures, prices or people. */
    case Helper = 'helper';

    case Technician = 'technician';

    case Owner = 'owner';

    /** Those that somebody can be invited as; a guest gets a link. */
    public const INVITED = [self::Owner, self::Technician, self::Helper];

    /** What may be done at all, and by whom at least: look; walk and record; set figures, prices and planters; run the shop. */
    public const ABILITIES = ['see' => self::Guest, 'record' => self::Helper, 'set' => self::Technician, 'run' => self::Owner];

    /** @return list<key-of<self::ABILITIES>> */
    public function abilities(): array
    {
        return array_keys(array_filter(self::ABILITIES, $this->mayAs(...)));
    }

    /** Whether this role may do what is kept to the other and those above it. */
    public function mayAs(self $least): bool
    {
        return array_search($this, self::cases(), true) >= array_search($least, self::cases(), true);
    }
}
