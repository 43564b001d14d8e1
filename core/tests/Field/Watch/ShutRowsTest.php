<?php

declare(strict_types=1);

use Ustrel\Core\Field\Watch\ShutRows;
use Ustrel\Core\Field\Watch\WatchEntryKind;

it('goes by what was said of each row last', function (array $said, array $shut): void {
    expect(ShutRows::after($said))->toBe($shut);
})->with([
    'nothing' => [[], []],
    'shut' => [[[8, WatchEntryKind::Shut], [2, WatchEntryKind::Shut]], [2, 8]],
    'opened again' => [[[8, WatchEntryKind::Shut], [2, WatchEntryKind::Shut], [8, WatchEntryKind::Opened]], [2]],
    'shut once more' => [[[8, WatchEntryKind::Shut], [8, WatchEntryKind::Opened], [8, WatchEntryKind::Shut]], [8]],
    'opened though it was not shut' => [[[8, WatchEntryKind::Opened]], []],
    'an alarm seen says nothing of a row' => [[[8, WatchEntryKind::Shut], [8, WatchEntryKind::Seen]], [8]],
]);
