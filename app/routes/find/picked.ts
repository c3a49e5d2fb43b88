import type { Survey } from '@core/job/model/survey';

export interface Picked {
  readonly cable: string;
  readonly insulation: Survey['boxes'][number]['ends'][number]['insulation'];
}
