<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Identity\ReadModel\Failures;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Psr\Log\LoggerInterface;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;

/**
 * Stands before every sign-in, of staff and of students. Only failures count; whoever fails often waits longer each time,
 * and tries at one account are made one after the other.
 */
final readonly class SignInGuard
{
    public function __construct(
        private Failures $failures,
        private KnownDevices $devices,
        private Transaction $transaction,
        private ClockInterface $clock,
        private LoggerInterface $logger,
    ) {
    }

    /**
     * @template T of object
     *
     * @param string         $account however it is spelt, the same name for the same account
     * @param \Closure(): T  $verify  gives whose it is, or throws a {@see Problem}
     *
     * @return T
     */
    public function attempt(string $account, Request $request, \Closure $verify): object
    {
        $this->failures->forgetOld($this->clock->now());
        $counts = $this->counts($account, $request);
        $result = $this->transaction->run(function () use ($counts, $verify): object {
            $now = $this->clock->now();
            foreach ($counts as $key => $patience) {
                if (!self::isShared($key)) {
                    $this->failures->hold($key);
                }
                $wait = $this->failures->wait($key, $patience, $now);
                if ($wait > 0) {
                    return new Problem(
                        429,
                        'Too many tries.',
                        sprintf('Wait %d %s, then try again.', $wait, $wait === 1 ? 'second' : 'seconds'),
                        extra: ['retryAfter' => $wait],
                    );
                }
            }
            try {
                $found = $verify();
            } catch (Problem $problem) {
                foreach ($counts as $key => $patience) {
                    $this->failures->count($key, $patience, $now);
                }

                return $problem;
            }
            // The address keeps its count: one right guess does not buy it more.
            foreach (array_keys($counts) as $key) {
                if (!self::isShared($key)) {
                    $this->failures->forget($key);
                }
            }

            return $found;
        });
        if ($result instanceof Problem) {
            $this->logger->warning(
                'A sign-in failed.',
                ['account' => $account, 'address' => $request->getClientIp(), 'status' => $result->status],
            );
            throw $result;
        }

        return $result;
    }

    /** @return array<string, Patience> by key, always in the same order, so that two never wait for each other */
    private function counts(string $account, Request $request): array
    {
        $address = $request->getClientIp() ?? '';
        $counts = $this->devices->knows($request, $account)
            ? ['device|'.$this->devices->key($request).'|'.hash('sha256', $account) => new Patience(10, 60, 900)]
            : [
                'account|'.hash('sha256', $account) => new Patience(20, 300, 3600),
                'account here|'.hash('sha256', $account."\n".$address) => new Patience(5, 60, 900),
                // A whole school may share one address.
                'address|'.$address => new Patience(100, 60, 300),
            ];
        ksort($counts);

        return $counts;
    }

    /** Of many accounts: a class that comes in at once does not queue for it. */
    private static function isShared(string $key): bool
    {
        return str_starts_with($key, 'address|');
    }
}
