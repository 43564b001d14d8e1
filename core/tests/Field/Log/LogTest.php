<?php

declare(strict_types=1);

use Ustrel\Core\Field\Log\AgainstMap;
use Ustrel\Core\Field\Log\ByField;
use Ustrel\Core\Field\Log\Populations;
use Ustrel\Core\Field\Log\Product;
use Ustrel\Core\Field\Log\RateUnit;
use Ustrel\Core\Field\Log\UnreadableLog;
use Ustrel\Core\Wear\Acres\AcresLine;
use Ustrel\Core\Wear\Acres\UnreadableAcresLine;

it('reads populations as they are said', function (string $typed, array $parts): void {
    expect(array_map(static fn (array $of): array => array_values($of), Populations::read($typed)->parts))->toEqual($parts)->and(Populations::read(Populations::read($typed)->said())->parts)->toEqual(Populations::read($typed)->parts);
})->with([
    ['34000', [[0, 34_000]]], ['34,000', [[0, 34_000]]], ['34.000 seeds/ac', [[0, 34_000]]], ['34 000', [[0, 34_000]]], ['34k', [[0, 34_000]]], ['33.5k', [[0, 33_500]]],
    ['34000; 32000 from 40 ac', [[0, 34_000], [40, 32_000]]], ["34k\nthen 32k from 40,5 ac; 30k from 55", [[0, 34_000], [40.5, 32_000], [55, 30_000]]],
    // A hectare is 2.47105 acres: 84,016 on one are 34,000 on the other.
    ['84016 seeds/ha', [[0, 34_000]]], ['34000; 30000 from 10 ha', [[0, 34_000], [24.711, 30_000]]],
]);

it('refuses what is no population', function (string $typed, string $fault): void {
    expect(static fn (): Populations => Populations::read($typed))->toThrow(static fn (UnreadableLog $is) => expect($is->fault)->toBe($fault));
})->with([['', 'population'], ['many', 'population'], ['400', 'number'], ['3,000,000', 'number'], ['34,00', 'number'], ['34000 from 5 ac', 'population_order'], ['34000; 32000', 'population_order'], ['34000; 32000 from 40; 30000 from 30', 'population_order'], ['-34000', 'number'], ['34000 lb', 'population']]);

it('counts the seeds that went out', function (): void {
    // 40 ac at 34,000, 15 at 32,000, 7.5 at 30,000.
    $populations = Populations::read('34000; 32000 from 40 ac; 30000 from 55 ac');
    expect($populations->seeds(62.5))->toEqualWithDelta(40 * 34_000 + 15 * 32_000 + 7.5 * 30_000, 1e-6)->and($populations->seeds(50))->toEqualWithDelta(40 * 34_000 + 10 * 32_000, 1e-6)->and($populations->seeds(20))->toEqualWithDelta(680_000, 1e-6);
});

it('reads products with their rates', function (): void {
    expect(Product::read('8 gal/ac starter'))->toEqual(Product::of('starter', 8, RateUnit::GallonsAnAcre))->and(Product::read('4,5 lbs/acre in-furrow zinc')?->said())->toBe('4.5 lb/ac in-furrow zinc')
        ->and(Product::read('120 l/ha starter')?->unit)->toBe(RateUnit::LitresAHectare)->and(Product::read('starter'))->toBeNull()->and(Product::read('8 gal/ha x'))->toBeNull()
        ->and(static fn (): Product => Product::of('starter', 0, RateUnit::PoundsAnAcre))->toThrow(UnreadableLog::class)->and(static fn (): Product => Product::of(' ', 1, RateUnit::PoundsAnAcre))->toThrow(UnreadableLog::class);
});

it('holds what was planted against what was planned, field by field', function (): void {
    $planned = [['name' => 'Long Field', 'acres' => 60.0, 'seed' => 'P7', 'population' => 34_000], ['name' => 'Far Down', 'acres' => 40.0, 'seed' => null, 'population' => null], ['name' => 'long  field', 'acres' => 20.0, 'seed' => 'P8', 'population' => 32_000]];
    $line = static fn (string $field, float $acres, ?string $lot, ?string $population): array => ['field' => $field, 'acres' => $acres, 'lot' => $lot, 'populations' => $population === null ? null : Populations::read($population)];
    $by = ByField::of($planned, [$line('LONG FIELD', 50, 'P7', '34000'), $line('Long Field', 28, 'P8', '30000'), $line('Orchard', 3, null, null)]);
    expect($by)->toHaveCount(3)->and($by[0])->toMatchArray(['name' => 'Long Field', 'planned' => 80.0, 'done' => 78.0, 'is_done' => true, 'lots' => ['P7', 'P8'], 'planted' => (int) round((50 * 34_000 + 28 * 30_000) / 78)])
        ->and($by[1])->toMatchArray(['done' => 0.0, 'is_done' => false, 'planted' => null])->and($by[2])->toMatchArray(['name' => 'Orchard', 'planned' => null, 'done' => 3.0, 'is_done' => false]);
});

it('says by how much the counter is off the map', function (): void {
    expect(AgainstMap::more(62.5, 60.0))->toEqualWithDelta(0.04167, 1e-5)->and(AgainstMap::isOff(62.5, 60))->toBeTrue()->and(AgainstMap::isOff(58.5, 60))->toBeFalse()->and(AgainstMap::isOff(58, 60))->toBeTrue();
});

it('hears lot, population, products and work-arounds in a line from the phone', function (): void {
    $line = AcresLine::read('62.5 ac, Long Field, popcorn, 5 mph, no-till, lot P7-A, 34,000 seeds, 8 gal/ac starter, 5 lb/ac zinc, section control off till the part comes');
    expect([$line->field, $line->crop, $line->lot, $line->populations?->parts[0]['population'], array_map(static fn (Product $of): string => $of->said(), $line->products), $line->around, $line->until])
        ->toBe(['Long Field', 'popcorn', 'P7-A', 34_000, ['8 gal/ac starter', '5 lb/ac zinc'], 'section control off', 'the part comes'])->and($line->ground->tillage?->value)->toBe('no_till');
    expect(AcresLine::read('25 ha; Long Field; 84016 seeds/ha')->populations?->parts[0]['population'])->toBe(34_000)->and(AcresLine::read('5 ac, Till Meadow')->around)->toBeNull()
        ->and(static fn (): AcresLine => AcresLine::read('5 ac, X, 34000 seeds, 32000 seeds'))->toThrow(UnreadableAcresLine::class)->and(static fn (): AcresLine => AcresLine::read('5 ac, X, 34000'))->toThrow(UnreadableAcresLine::class);
});
