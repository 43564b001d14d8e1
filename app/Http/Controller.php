<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;

abstract class Controller
{
    /** The as_of that a device heard last; null where it is missing or no time. */
    protected function since(Request $request): ?CarbonImmutable
    {
        $given = $request->input('since');
        $isTime = is_string($given) && preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,6})?Z$/', $given) === 1 && strtotime($given) !== false;

        return $isTime ? CarbonImmutable::parse($given) : null;
    }

    protected function user(Request $request): User
    {
        /** @var User the routes that call this are behind auth */
        return $request->user();
    }
}
