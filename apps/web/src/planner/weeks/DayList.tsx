import type { PlanReply } from '@orthokin/contract';
import { GripVertical } from 'lucide-react';
import type { ReactElement } from 'react';
import { Button, GridListItem } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { DropList } from '../../parts/DragList.js';
import { colour } from '../../parts/tokens.js';
import { useDraggedAbout } from '../../parts/useDraggedAbout.js';
import { weekdayWords } from '../../words/format.js';
import { say } from '../../words/weeks.js';

const KIND = 'orthokin-session';

const Day = styled.div`
  min-width: 0;
  h4 {
    margin: 0 0 2px;
    font-size: 14px;
    font-weight: 500;
    color: ${colour('quiet')};
  }
`;

const List = styled(DropList)`
  min-height: 52px;
  padding: 3px;
  .react-aria-GridListItem {
    display: grid;
    grid-template-columns: 26px minmax(0, 1fr);
    gap: 0;
    padding: 0 4px 0 0;
    cursor: grab;
  }
  .grip {
    width: 26px;
  }
  a {
    overflow-wrap: anywhere;
    font-size: 15px;
    line-height: 1.2;
  }
`;

/** A day's sessions, which can be dragged to other days. */
export function DayList({
  day,
  sessions,
  onMove,
}: {
  day: string;
  sessions: readonly PlanReply[];
  /** Moves a session from any day to this one. */
  onMove: (planId: string) => void;
}): ReactElement {
  const dragAndDropHooks = useDraggedAbout({
    kind: KIND,
    nameOf: (id) => sessions.find((one) => one.id === id)?.name ?? '',
    onDrop: ({ ids }) => ids.forEach(onMove),
  });
  const label = weekdayWords(day);
  return (
    <Day>
      <h4>{label}</h4>
      <List
        aria-label={label}
        items={sessions.map(({ id, name, startsAt }) => ({ id, name, startsAt }))}
        dragAndDropHooks={dragAndDropHooks}
      >
        {(item) => {
          const { id, name, startsAt } = item as Pick<PlanReply, 'id' | 'name' | 'startsAt'>;
          return (
            <GridListItem id={id} textValue={name}>
              <Button slot="drag" className="grip" aria-label={say('dragSession', { name })}>
                <GripVertical size={16} />
              </Button>
              <Link to={`/plan/${id}`}>{say('openSession', { name, time: startsAt })}</Link>
            </GridListItem>
          );
        }}
      </List>
    </Day>
  );
}
