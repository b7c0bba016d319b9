<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/**
 * An answer rule whose key is given later, for a question that stands on paper: until then every answer waits. What is accepted makes it
 * the rule that it is otherwise.
 */
final readonly class Keyless implements Rule
{
    private function __construct(private Rule $rule)
    {
    }

    /** A rule by which nothing can earn anything waits for its key; any other is what it is. */
    public static function orKnown(Rule $rule): Rule
    {
        foreach ($rule->waitsForMarker() ? [] : $rule->credits() ?? [BigRational::one()] as $credit) {
            if (!$credit->isZero()) {
                return $rule;
            }
        }

        return $rule->waitsForMarker() ? $rule : new self($rule);
    }

    /** What it is once there is a key. */
    public function known(): Rule
    {
        return $this->rule;
    }

    public function type(): ItemType
    {
        return $this->rule->type();
    }

    public function check(Response $response): Outcome
    {
        return $response->isBlank() ? Outcome::nothing() : Outcome::byHand($this->rule->inWords($response));
    }

    public function waitsForMarker(): bool
    {
        return true;
    }

    public function credits(): ?array
    {
        return null;
    }

    public function misconceptions(): array
    {
        return $this->rule->misconceptions();
    }

    public function version(string $seed): self
    {
        return $this;
    }

    public function toArray(): array
    {
        return $this->rule->toArray();
    }

    public function defects(): array
    {
        return array_values(array_filter($this->rule->defects(), static fn (Defect $d): bool => !$d->ofKey));
    }

    public function face(Showing $showing): array
    {
        return $this->rule->face($showing);
    }

    public function renamed(Response $response, Renaming $names): Response
    {
        return $this->rule->renamed($response, $names);
    }

    public function inWords(Response $response): string
    {
        return $this->rule->inWords($response);
    }

    public function key(): string
    {
        return '';
    }

    public function accepted(): array
    {
        return [];
    }

    public function accepting(Response $response, BigRational $credit, string $feedback): Rule
    {
        return $this->rule->accepting($response, $credit, $feedback);
    }

    public function comparedBy(Response $response, Outcome $outcome): string
    {
        return $this->rule->comparedBy($response, $outcome);
    }

    public function isProse(): bool
    {
        return $this->rule->isProse();
    }

    public function inputs(Response $response): array
    {
        return $this->rule->inputs($response);
    }

    public function guess(): float
    {
        return $this->rule->guess();
    }

    public function alternatives(): array
    {
        return $this->rule->alternatives();
    }

    public function parts(Response $response): array
    {
        return [];
    }

    public function texts(): array
    {
        return $this->rule->texts();
    }

    public function files(): array
    {
        return $this->rule->files();
    }
}
