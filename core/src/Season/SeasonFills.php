<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

/** The fills of a season, crop by crop: a box of corn seed stops nobody in the milo. */
final readonly class SeasonFills
{
    /** @param  non-empty-list<CropFills>  $crops  in the order of the fields; one where no tank belongs to a crop */
    private function __construct(public array $crops)
    {
    }

    /**
     * @param  list<Tank>  $tanks
     * @param  list<array{crop: string|null, acres: float}>  $fields  without any, all tanks run at once
     */
    public static function of(array $tanks, array $fields): self
    {
        if ($fields === [] || array_filter($tanks, static fn (Tank $tank): bool => Tank::plain($tank->crop) !== '') === []) {
            return new self([new CropFills(null, (float) array_sum(array_column($fields, 'acres')), new Fills($tanks))]);
        }
        $acres = $names = [];
        foreach ($fields as ['crop' => $crop, 'acres' => $ofField]) {
            $key = Tank::plain($crop);
            $names[$key] ??= $crop;
            $acres[$key] = ($acres[$key] ?? 0.0) + $ofField;
        }
        $crops = [];
        foreach ($acres as $key => $ofCrop) {
            $crops[] = new CropFills($names[$key], $ofCrop, new Fills(array_values(array_filter($tanks, static fn (Tank $tank): bool => $tank->runsIn((string) $key)))));
        }

        return new self($crops);
    }

    /** Acres between two stops on average over the whole season, which is all its acres by all its stops; null without a stop. */
    public function acresAFill(): ?float
    {
        $stops = array_sum(array_map(static fn (CropFills $of): float => $of->stops(), $this->crops));
        if ($stops > 0) {
            return array_sum(array_map(static fn (CropFills $of): float => $of->acres, $this->crops)) / $stops;
        }

        return count($this->crops) === 1 && $this->crops[0]->acres <= 0.0 ? $this->crops[0]->fills->acresAFill() : null;
    }
}
