<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\Stock\Offer;
use Ustrel\Core\Parts\Stock\ShelfMove;
use Ustrel\Core\Parts\Stock\Stock;
use Ustrel\Core\Parts\Stock\StockMoveKind;

/** @param  list<array{string, int, string}>  $moves  kind, quantity, day of March */
function stockOf(array $moves): Stock
{
    return Stock::of(array_map(static fn (array $move, int $at): ShelfMove => new ShelfMove((string) $at, StockMoveKind::from($move[0]), $move[1], Moment::of("2026-03-{$move[2]}T10:00:00Z")), $moves, array_keys($moves)));
}

it('knows what is on the shelf', function (array $moves, ?int $onHand): void {
    expect(stockOf($moves)->onHand)->toBe($onHand)->and(stockOf(array_reverse($moves))->onHand)->toBe($onHand);
})->with([
    'nobody counted' => [[], null],
    'used before anybody counted' => [[['used', 3, '01']], null],
    'counted, used, received' => [[['counted', 8, '01'], ['used', 2, '02'], ['received', 5, '03'], ['lost', 1, '04']], 10],
    'counted anew' => [[['counted', 8, '01'], ['used', 2, '02'], ['counted', 4, '03'], ['used', 1, '04']], 3],
    'received without a count' => [[['received', 5, '01'], ['used', 2, '02']], 3],
    'more used than there were' => [[['counted', 1, '01'], ['used', 3, '02']], -2],
    'counted none' => [[['counted', 0, '01']], 0],
]);

it('says how many to order, and by when', function (): void {
    $two = stockOf([['counted', 2, '01']]);
    expect([$two->toOrder(6, null), $two->toOrder(6, 4), $two->toOrder(1, null), $two->toOrder(0, 3)])->toBe([4, 8, 0, 1])
        ->and(stockOf([])->toOrder(6, null))->toBe(6)
        // A miscount is nothing that could be fitted.
        ->and(stockOf([['counted', 1, '01'], ['used', 3, '02']])->toOrder(6, null))->toBe(6)
        ->and(stockOf([['counted', 1, '01'], ['used', 3, '02']])->isMiscount())->toBeTrue()
        ->and(Stock::orderBy(Day::of('2026-04-13'), 14)?->iso)->toBe('2026-03-30')
        ->and(Stock::orderBy(Day::of('2026-04-13'), null))->toBeNull();
});

it('orders from whoever brings it in time at the lowest price, or else first', function (): void {
    $cheap = new Offer(1, 40.0, 20);
    $fast = new Offer(2, 45.0, 5);
    $unknown = new Offer(3, null, null);
    $best = static fn (?int $daysLeft, Offer ...$offers): ?int => Offer::best(array_values($offers), $daysLeft)?->supplier;
    expect([$best(30, $cheap, $fast), $best(10, $cheap, $fast), $best(2, $cheap, $fast), $best(null, $cheap, $fast), $best(30)])->toBe([1, 2, 2, 1, null])
        ->and([$best(30, $unknown, $fast), $best(2, $unknown, $fast), $best(null, $unknown)])->toBe([2, 2, 3]);
});
