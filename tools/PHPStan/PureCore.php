<?php

declare(strict_types=1);

namespace Ustrel\Tools\PHPStan;

use PhpParser\Node;
use PHPStan\Analyser\Scope;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;

/**
 * Core has no clock, no hidden randomness, no I/O and no globals: what it is told is all that it goes by. It reads the data files that
 * lie beside it, and nothing else.
 *
 * @implements Rule<Node>
 */
final class PureCore implements Rule
{
    private const CLOCK = ['time', 'date', 'idate', 'getdate', 'localtime', 'mktime', 'gmmktime', 'strtotime', 'microtime', 'hrtime', 'gettimeofday', 'date_create', 'date_create_immutable', 'date_default_timezone_get', 'date_default_timezone_set', 'sleep', 'usleep'];

    private const RANDOM = ['rand', 'mt_rand', 'mt_srand', 'srand', 'random_int', 'random_bytes', 'lcg_value', 'shuffle', 'str_shuffle', 'array_rand', 'uniqid'];

    private const IO = ['fopen', 'file', 'file_put_contents', 'readfile', 'glob', 'scandir', 'opendir', 'is_file', 'is_dir', 'file_exists', 'unlink', 'mkdir', 'tempnam', 'getenv', 'putenv', 'exec', 'shell_exec', 'system', 'passthru', 'proc_open', 'popen', 'curl_init', 'fsockopen', 'stream_socket_client', 'error_log', 'syslog', 'header', 'setlocale', 'ini_set', 'print_r', 'var_dump', 'printf', 'vprintf'];

    private const SUPERGLOBALS = ['GLOBALS', '_SERVER', '_ENV', '_GET', '_POST', '_REQUEST', '_SESSION', '_COOKIE', '_FILES'];

    public function getNodeType(): string
    {
        return Node::class;
    }

    public function processNode(Node $node, Scope $scope): array
    {
        $what = match (true) {
            $node instanceof Node\Expr\FuncCall && $node->name instanceof Node\Name => $this->call($node, strtolower($node->name->toString())),
            $node instanceof Node\Expr\New_ && $node->class instanceof Node\Name => $this->made($node, $node->class->toString()),
            $node instanceof Node\Expr\Variable && is_string($node->name) && in_array($node->name, self::SUPERGLOBALS, true) => "\${$node->name} is a global",
            $node instanceof Node\Stmt\Global_ => 'global is one',
            $node instanceof Node\Stmt\Echo_, $node instanceof Node\Expr\Print_ => 'it prints',
            $node instanceof Node\Expr\ShellExec => 'it runs a command',
            default => null,
        };

        return $what === null ? [] : [RuleErrorBuilder::message("Core is pure: {$what}. Hand in what it has to know.")->identifier('ustrel.pureCore')->build()];
    }

    private function call(Node\Expr\FuncCall $node, string $name): ?string
    {
        return match (true) {
            in_array($name, self::CLOCK, true), $name === 'gmdate' && count($node->getArgs()) < 2 => "{$name}() asks the clock",
            in_array($name, self::RANDOM, true) => "{$name}() is hidden randomness",
            in_array($name, self::IO, true) => "{$name}() is I/O",
            $name === 'file_get_contents' && ! $this->isBeside($node->getArgs()[0]->value ?? null) => 'it reads a file that does not lie beside it',
            default => null,
        };
    }

    /** A moment that is made without saying which is now. */
    private function made(Node\Expr\New_ $node, string $class): ?string
    {
        if (! in_array($class, ['DateTimeImmutable', 'DateTime'], true)) {
            return null;
        }
        $moment = $node->getArgs()[0]->value ?? null;

        return $moment === null || ($moment instanceof Node\Scalar\String_ && preg_match('/^(|now|today|yesterday|tomorrow|[+-].*)$/i', trim($moment->value)) === 1) ? "new {$class} asks the clock" : null;
    }

    private function isBeside(?Node\Expr $path): bool
    {
        while ($path instanceof Node\Expr\BinaryOp\Concat) {
            $path = $path->left;
        }

        return $path instanceof Node\Scalar\MagicConst\Dir || ($path instanceof Node\Expr\ClassConstFetch && $path->class instanceof Node\Name && $path->class->toString() === 'self');
    }
}
