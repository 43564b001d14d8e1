<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

/** Which words of a log line are crops: those that are planted widely, and those that the planter has had before. */
final readonly class CropNames
{
    private const COMMON = [
        'alfalfa', 'barley', 'bean', 'beet', 'canola', 'carrot', 'chickpea', 'clover', 'corn', 'cotton', 'cowpea', 'cucumber', 'dry bean', 'edible bean', 'field corn', 'field pea', 'flax', 'lentil',
        'maize', 'melon', 'milo', 'mung bean', 'mustard', 'oat', 'okra', 'onion', 'pea', 'peanut', 'popcorn', 'pumpkin', 'rapeseed', 'rice', 'rye', 'safflower', 'seed corn', 'silage', 'silage corn', 'snap bean',
        'sorghum', 'soy', 'soya', 'soybean', 'spelt', 'squash', 'sugar beet', 'sunflower', 'sweet corn', 'triticale', 'watermelon', 'wheat',
    ];

    /** @var array<string, true> */
    private array $known;

    /** @param  list<string>  $had  that the planter has planted, or is to plant */
    public function __construct(array $had = [])
    {
        $this->known = array_fill_keys(array_map(self::plain(...), [...self::COMMON, ...$had]), true);
    }

    public function has(string $name): bool
    {
        return isset($this->known[self::plain($name)]);
    }

    private static function plain(string $name): string
    {
        return (string) preg_replace('/(?<!s)s$/', '', strtr(mb_strtolower(trim($name)), '-_', '  '));
    }
}
