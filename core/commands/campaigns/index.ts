export { dropCampaign, keepCampaign } from './keep-campaign'
