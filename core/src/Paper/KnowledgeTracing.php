<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

/**
 * Bayesian knowledge tracing: how likely a skill is known after each answer. Source: Corbett & Anderson, User Modeling
 * and User-Adapted Interaction 4 (1995), 253–278.
 */
final readonly class KnowledgeTracing
{
    /**
     * @param float $known chance that the skill is known at the start
     * @param float $learn chance that it is learnt at a step
     * @param float $slip  chance of a wrong answer though it is known
     * @param float $guess chance of a right answer though it is not
     */
    public function __construct(public float $known = 0.3, public float $learn = 0.15, public float $slip = 0.1, public float $guess = 0.25)
    {
        foreach ([$known, $learn, $slip, $guess] as $p) {
            if (!($p >= 0.0 && $p <= 1.0)) {
                throw new \DomainException('Each parameter of knowledge tracing is a chance from 0 to 1.');
            }
        }
        if ($slip + $guess >= 1.0) {
            throw new \DomainException('Slip and guess together must stay below 1, or a right answer would speak against knowing.');
        }
    }

    /** @return array<string, string> each chance with up to four decimals */
    public function toArray(): array
    {
        return array_map(
            static fn (float $chance): string => rtrim(rtrim(sprintf('%.4F', $chance), '0'), '.'),
            ['known' => $this->known, 'learn' => $this->learn, 'slip' => $this->slip, 'guess' => $this->guess],
        );
    }

    /** The chance that the skill is known after one more answer. */
    public function after(float $known, bool $right): float
    {
        $yes = $known * ($right ? 1 - $this->slip : $this->slip);
        $no = (1 - $known) * ($right ? $this->guess : 1 - $this->guess);
        $given = $yes + $no > 0.0 ? $yes / ($yes + $no) : $known;

        return $given + (1 - $given) * $this->learn;
    }

    /**
     * @param list<bool> $answers in the order they were given
     *
     * @return list<float> the chance after each
     */
    public function trace(array $answers): array
    {
        $known = $this->known;
        $trace = [];
        foreach ($answers as $right) {
            $trace[] = $known = $this->after($known, $right);
        }

        return $trace;
    }
}
