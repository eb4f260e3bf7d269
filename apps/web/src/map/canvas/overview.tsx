import { topicStyle } from '@ichnograph/core';
import { MiniMap, Panel, useReactFlow } from '@xyflow/react';
import { X } from 'lucide-react';
import { Button } from '../../ui/button';
import type { LinkEdge, MarkNode } from './canvas-marks';

/** The whole map in small, with what of it is in sight; pulled or pressed, the view goes there. */
export function Overview({ onClose }: { onClose?: (() => void) | undefined }) {
  const flow = useReactFlow<MarkNode, LinkEdge>();
  return (
    <>
      <MiniMap
        pannable
        zoomable
        ariaLabel="Overview of the map"
        onClick={(_event, { x, y }) => void flow.setCenter(x, y, { zoom: flow.getZoom() })}
        nodeColor={(node: MarkNode) =>
          node.type === 'picture' ? '#ffffff' : topicStyle(node.data.topic, node.data.legend).fill
        }
        nodeStrokeColor="#4d5867"
        nodeStrokeWidth={6}
        nodeBorderRadius={0}
        bgColor="#fbfbf8"
        maskColor="rgb(22 32 46 / 0.12)"
        className="!m-3 border border-rule"
      />
      {onClose && (
        <Panel position="bottom-right" className="!m-4">
          <Button small look="quiet" aria-label="Put the overview away" onClick={onClose}>
            <X aria-hidden size={14} />
          </Button>
        </Panel>
      )}
    </>
  );
}
